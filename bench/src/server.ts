/** Asking a server that a benchmark has started. */

/** @param body sent as POST, or as `method` says; without one it is a GET */
export async function json(
  address: string,
  body?: object,
  headers: Record<string, string> = {},
  method = 'POST',
): Promise<unknown> {
  const response = await fetch(
    address,
    body === undefined
      ? {}
      : {
          method,
          headers: { 'Content-Type': 'application/json', ...headers },
          body: JSON.stringify(body),
        },
  );
  if (!response.ok) throw new Error(`${address} answered ${response.status}`);
  return response.json();
}

export async function answering(address: string): Promise<void> {
  for (let tries = 0; tries < 600; tries += 1) {
    try {
      if ((await fetch(address)).ok) return;
    } catch {
      // not listening yet
    }
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error(`${address} does not answer`);
}
