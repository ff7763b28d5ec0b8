/** Gap between keys below which no hand types: a caliper or scanner does. Fast typists stay above 60 ms. */
export const BURST_GAP_MS = 35;

/** What the next key press means when no field has the focus. */
export type Heard =
  | { readonly kind: 'waiting' }
  /** A burst that ended: text of a reading. */
  | { readonly kind: 'reading'; readonly text: string };

/**
 * Tells a typing caliper from a hand, outside fields. Feed it every printable key and Enter with the time; ask
 * `settle` after BURST_GAP_MS of silence. Pure but for its own memory; the clock comes in.
 */
export class BurstListener {
  private text = '';
  private lastMs = -Infinity;

  /** Takes a key. `reading` when Enter closes a burst. */
  hear(key: string, nowMs: number): Heard {
    if (nowMs - this.lastMs > BURST_GAP_MS) this.text = '';
    this.lastMs = nowMs;
    if (key === 'Enter') {
      const { text } = this;
      this.text = '';
      return text.length > 1 ? { kind: 'reading', text } : { kind: 'waiting' };
    }
    this.text += key;
    return { kind: 'waiting' };
  }

  /** Whether what was heard had ended before a moment, although nobody has settled it: a busy page settles late. */
  isOver(nowMs: number): boolean {
    return this.text !== '' && nowMs - this.lastMs > BURST_GAP_MS;
  }

  /** After silence: one lone key was a hand's, and is given back; more were a burst without Enter. */
  settle():
    { readonly kind: 'key'; readonly key: string } | { readonly kind: 'reading'; readonly text: string } | undefined {
    const { text } = this;
    this.text = '';
    if (text.length === 0) return undefined;
    return text.length === 1 ? { kind: 'key', key: text } : { kind: 'reading', text };
  }
}
