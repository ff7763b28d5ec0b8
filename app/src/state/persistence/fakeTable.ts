/** A table of the store kept in memory, for tests: it may refuse from a certain write on, as a full disk does. */
export class FakeTable {
  readonly kept = new Map<string, unknown>();
  /** Writes and removals that still go through; Infinity where nothing is refused. */
  allowed = Infinity;

  private spend(): void {
    if (this.allowed <= 0) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    this.allowed -= 1;
  }
  async getItem<T>(key: string): Promise<T | null> {
    return Promise.resolve((this.kept.get(key) as T | undefined) ?? null);
  }
  async setItem<T>(key: string, value: T): Promise<T> {
    await Promise.resolve();
    this.spend();
    this.kept.set(key, structuredClone(value));
    return value;
  }
  async removeItem(key: string): Promise<void> {
    await Promise.resolve();
    this.spend();
    this.kept.delete(key);
  }
  async keys(): Promise<string[]> {
    return Promise.resolve([...this.kept.keys()]);
  }
  async iterate<T, R>(visit: (value: T, key: string) => R): Promise<void> {
    await Promise.resolve();
    for (const [key, value] of this.kept) visit(value as T, key);
  }
  async clear(): Promise<void> {
    await Promise.resolve();
    this.kept.clear();
  }
}
