import { useEffect, useRef, useState, type ChangeEvent } from 'react';
import { nanoid } from 'nanoid';
import { asTyped } from './asTyped';
import { useUnsaved } from './useUnsaved';

/** Rest after which what was typed is handed on, and the longest that it waits for a rest. */
const IDLE_MS = 400;
const LONGEST_MS = 900;

/** Hands words on to whatever document they belong to. @returns whether that document took them, now or once it has answered */
export type HandOn = (text: string, gesture: string) => boolean | Promise<boolean>;

/** For words that only the page itself keeps: it takes them at once. */
export const keptHere =
  (take: (text: string) => unknown): HandOn =>
  (text) => {
    take(text);
    return true;
  };

/**
 * Words being typed, of a ticket or of the bench book: shown at once, and handed on when the typing rests, at the latest a
 * second after the first letter that was not, when the field is left, and when the page is hidden. All that is typed
 * between entering and leaving the field is one gesture. Whether words were kept is known by their own write: what was
 * taken is never written again, whatever undo or another tab has made of it since; what was not taken stays in the field.
 *
 * @param isRefused whether words cannot be taken as they are: they stay, and do not go in by themselves
 */
export function useDraft(value: string, onText: HandOn, isRefused?: (text: string) => boolean) {
  const [draft, setDraft] = useState<string | null>(null);
  /** The words that were taken last, of those in the field. */
  const [taken, setTaken] = useState<string | null>(null);
  const gesture = useRef('');
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const firstMs = useRef<number | null>(null);
  const left = useRef(false);
  const latest = useRef({ draft, taken, value, onText });
  useEffect(() => {
    latest.current = { ...latest.current, value, onText };
  });
  useUnsaved('itself', draft !== null && draft !== (taken ?? value) && !isRefused?.(draft));

  const put = (of: Partial<{ draft: string | null; taken: string | null }>): void => {
    latest.current = { ...latest.current, ...of };
    if (of.draft !== undefined) setDraft(of.draft);
    if (of.taken !== undefined) setTaken(of.taken);
  };
  const answered = (text: string, kept: boolean): void => {
    if (!kept || latest.current.draft !== text) return;
    put({ taken: text });
    // The field was left while its document still answered.
    if (left.current) put({ draft: null, taken: null });
  };
  const flush = (): void => {
    clearTimeout(timer.current);
    firstMs.current = null;
    const { draft: text, taken: before, value: now, onText: hand } = latest.current;
    if (text === null || text === (before ?? now)) return;
    const kept = hand(text, gesture.current);
    if (typeof kept === 'boolean') answered(text, kept);
    else void kept.then((is) => answered(text, is));
  };
  const flushLatest = useRef(flush);
  useEffect(() => {
    flushLatest.current = flush;
  });
  // Leaving the page with words in the field must not lose them.
  useEffect(() => {
    const now = (): void => flushLatest.current();
    const hidden = (): void => {
      if (document.visibilityState === 'hidden') now();
    };
    addEventListener('pagehide', now);
    addEventListener('beforeunload', now);
    document.addEventListener('visibilitychange', hidden);
    return () => {
      removeEventListener('pagehide', now);
      removeEventListener('beforeunload', now);
      document.removeEventListener('visibilitychange', hidden);
      now();
    };
  }, []);

  return {
    value: draft ?? value,
    onFocus: () => {
      gesture.current = nanoid(10);
      left.current = false;
    },
    onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      put({ draft: asTyped(event).target.value });
      const nowMs = performance.now();
      firstMs.current ??= nowMs;
      clearTimeout(timer.current);
      timer.current = setTimeout(
        () => flushLatest.current(),
        Math.max(0, Math.min(IDLE_MS, firstMs.current + LONGEST_MS - nowMs)),
      );
    },
    onBlur: () => {
      left.current = true;
      flush();
      const { draft: text, taken: kept, value: now } = latest.current;
      if (text === (kept ?? now)) put({ draft: null, taken: null });
    },
  };
}
