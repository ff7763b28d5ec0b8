import type { Token } from '../../base/spoken';
import type { Said } from './said';

/** What is read: a line and its tokens. */
export interface Typed {
  readonly line: string;
  readonly tokens: readonly Token[];
}

/** The words of a bit as they were typed. */
export const wordsOf = ({ line, tokens }: Typed, { from, to }: Pick<Said, 'from' | 'to'>): string =>
  line.slice(tokens[from]?.from ?? 0, tokens[to - 1]?.to ?? 0);

/** What the figures of a clause say. */
export interface Figures {
  /** The driver as the trade writes it; empty where none is named. */
  readonly driverType: string;
  readonly thread: string;
  readonly lengthMm: number | null;
  readonly turns: string;
  readonly direction: string;
  readonly viewedFrom: string;
  readonly parkedAt: string;
  readonly ways: string;
  /** So many of so many, as in 3 of 4. */
  readonly ofMany: readonly [number, number] | null;
}

/** The figures of bits and of what describes their nouns. */
export function figuresOf(typed: Typed, bits: readonly Said[]): Figures {
  const all = bits.flatMap((bit) => [
    bit,
    ...(bit.looks ?? []),
    ...(bit.is === 'where' ? (bit.within?.looks ?? []) : []),
  ]);
  const words = (is: Said['is']): string => {
    const bit = all.find((one) => one.is === is);
    return bit ? wordsOf(typed, bit) : '';
  };
  const seen = bits.find(({ is }) => is === 'viewedFrom');
  const ways = all.find(({ is }) => is === 'ways');
  return {
    driverType: all.find(({ is }) => is === 'driver')?.figure ?? '',
    thread: all.find(({ is }) => is === 'thread')?.figure ?? '',
    lengthMm: all.find(({ lengthMm }) => lengthMm !== undefined)?.lengthMm ?? null,
    turns: words('turns'),
    direction: all.find(({ is }) => is === 'direction')?.figure ?? '',
    viewedFrom: seen ? (seen.noun ?? (seen.within ? wordsOf(typed, seen.within).replace(/^the /i, '') : '')) : '',
    parkedAt: words('parkedAt').replace(/^(?:to|against|up to) /i, ''),
    ways: ways?.figure ?? '',
    ofMany:
      bits.find(({ count, ofMany }) => ofMany ?? count?.ofMany)?.ofMany ??
      bits.find(({ count }) => count?.ofMany)?.count?.ofMany ??
      null,
  };
}
