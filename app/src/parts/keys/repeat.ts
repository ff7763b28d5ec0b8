/** Faster than this nobody measures a second thing: the same number again is the caliper's button bouncing. */
export const REPEAT_MS = 700;

/**
 * Tells a caliper that sends its number twice from a bench that measures two things alike. Pure but for its own memory;
 * the clock comes in.
 */
export class RepeatWatch {
  private text = '';
  private field = '';
  private atMs = -Infinity;

  /** Whether this text is only the last one again, in another field, faster than a hand can measure. */
  repeats(text: string, field: string, nowMs: number): boolean {
    return text.trim() === this.text && field !== this.field && nowMs - this.atMs < REPEAT_MS;
  }

  /** Remembers a text that was taken. */
  taken(text: string, field: string, nowMs: number): void {
    this.text = text.trim();
    this.field = field;
    this.atMs = nowMs;
  }
}
