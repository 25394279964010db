/** Does something while the clock shows another time; timers run as they do. @param offMs how far it is off */
export async function atClock<T>(offMs: number, work: () => PromiseLike<T>): Promise<T> {
  jest.useFakeTimers({
    now: Date.now() + offMs,
    doNotFake: [
      'hrtime', 'nextTick', 'performance', 'queueMicrotask', 'setImmediate', 'clearImmediate', 'setInterval',
      'clearInterval', 'setTimeout', 'clearTimeout',
    ],
  }); // prettier-ignore
  try {
    return await work();
  } finally {
    jest.useRealTimers();
  }
}
