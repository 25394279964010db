/** Waits for an answer only so long; what comes later is left to whoever asks again. */
export async function withTimeout<T>(milliseconds: number, answer: Promise<T>, otherwise: T): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<T>((resolve) => {
    timer = setTimeout(() => resolve(otherwise), milliseconds);
  });
  try {
    return await Promise.race([answer, late]);
  } finally {
    clearTimeout(timer);
  }
}
