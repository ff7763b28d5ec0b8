import type { Fate } from '../strip';
import { FASTENER_KINDS, type NounKind, type verbOf } from './vocabulary';

interface FateRead {
  readonly fate: Fate | undefined;
  readonly doubt?: readonly Fate[];
}

/** What the verbs of a clause say was done. */
export function fateOf(
  verbs: ReadonlyArray<ReturnType<typeof verbOf> & string>,
  kind: NounKind | undefined,
  text: string,
): FateRead {
  const has = (verb: string): boolean => (verbs as readonly string[]).includes(verb);
  const away = has('off') || /\boff\b|\bout\b|\baway\b/.test(text);
  if (has('unsoldered')) return { fate: 'unsoldered' };
  if (has('cut')) return { fate: 'cut' };
  if (has('unhooked')) return { fate: 'unhooked' };
  if (/\bhalfway\b/.test(text))
    return { fate: kind !== undefined && FASTENER_KINDS.has(kind) ? 'loosened' : 'movedAside' };
  if (has('pulled')) {
    if (kind === 'connector') return { fate: 'pulled' };
    if (kind === 'part' && /\b(?:tray|drawer)\b/.test(text)) return { fate: 'off', doubt: ['off', 'movedAside'] };
    return { fate: away ? 'off' : 'pulled' };
  }
  if (has('aside'))
    return away && !/\baside\b/.test(text) ? { fate: 'off' } : { fate: 'off', doubt: ['off', 'movedAside'] };
  if (has('foldedBack')) return { fate: 'foldedBack' };
  if (has('turned')) return { fate: 'turned' };
  if (has('movedAside') && (!/\bbent\b/.test(text) || /\b(?:up|aside|back|over|down)\b/.test(text)))
    return { fate: 'movedAside' };
  if (has('lift')) {
    if (away || kind === 'adhesive') return { fate: 'off' };
    return /\b(?:aside|over|up|clear|back)\b/.test(text)
      ? { fate: 'movedAside' }
      : { fate: 'off', doubt: ['off', 'movedAside'] };
  }
  if (away && /\bturns?\b/.test(text) && kind !== undefined && FASTENER_KINDS.has(kind)) return { fate: 'loosened' };
  if (away) return { fate: 'off' };
  if (has('loosened')) return { fate: 'loosened' };
  if (has('free')) {
    if (kind === 'cable' || kind === 'wire') return { fate: 'loosened' };
    if (kind === 'tabs' || kind === 'clips' || kind === 'belt') return { fate: 'off' };
    return { fate: 'off', doubt: ['off', 'loosened'] };
  }
  if (has('come')) return { fate: 'off', doubt: ['off', 'noted'] };
  if (has('marked')) return { fate: 'marked' };
  if (has('noted')) return { fate: 'noted' };
  return has('movedAside') ? { fate: 'off', doubt: ['noted', 'off'] } : { fate: undefined };
}
