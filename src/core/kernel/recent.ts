/** What was kept last, by its key: beyond so many, what was kept longest ago is forgotten. */
export class Recent<K, V> {
  private readonly known = new Map<K, V>();
  private readonly most: number;

  /** @param most so many are kept, at least one */
  constructor(most: number) {
    this.most = most;
  }

  get(key: K): V | undefined {
    return this.known.get(key);
  }

  /** Keeps a value as the last one, instead of what stood under its key. */
  keep(key: K, value: V): void {
    this.known.delete(key);
    this.known.set(key, value);
    const [oldest] = this.known.keys();
    if (this.known.size > this.most && oldest !== undefined) this.known.delete(oldest);
  }
}
