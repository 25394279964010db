/** What is worked out once and kept as long as there is room: what was not used for longest goes first. */
export class BoundedMemory<Key, Value> {
  private readonly known = new Map<Key, { value: Value; bytes: number }>();
  private held = 0;

  /** @param mostBytes what it may hold, about */
  constructor(private readonly mostBytes: number) {}

  /** What is kept under a key, or what is worked out now. What `make` throws is thrown, and not kept. */
  get(key: Key, make: () => Value, bytesOf: (value: Value) => number): Value {
    let entry = this.known.get(key);
    if (entry === undefined) {
      const value = make();
      entry = { value, bytes: bytesOf(value) };
      this.held += entry.bytes;
    } else {
      this.known.delete(key);
    }
    // Put in again, so that the map's order is that of last use.
    this.known.set(key, entry);
    for (const [oldest, { bytes }] of this.known) {
      if (this.held <= this.mostBytes) break;
      this.known.delete(oldest);
      this.held -= bytes;
    }
    return entry.value;
  }
}
