import { useEffect, useRef, useState, type ChangeEvent } from 'react';
import { nanoid } from 'nanoid';
import { useNowState } from '../../state/store/hooks';
import { useUnsaved } from './useUnsaved';

/** Rest after which what was typed is handed on, and the longest that it waits for a rest. */
const IDLE_MS = 400;
const LONGEST_MS = 900;

/**
 * Words being typed: shown at once, and handed on when the typing rests, at the latest a second after the first letter
 * that was not, when the field is left, and when the page is hidden. All that is typed between entering and leaving the
 * field is one gesture. What the ticket does not take (another tab writes it) stays in the field.
 */
export function useDraft(value: string, onText: (text: string, gesture: string) => void) {
  const nowState = useNowState();
  const [draft, setDraft] = useState<string | null>(null);
  const gesture = useRef('');
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const firstMs = useRef<number | null>(null);
  const latest = useRef({ draft, value, onText });
  useEffect(() => {
    latest.current = { draft, value, onText };
  });
  useUnsaved('itself', draft !== null && draft !== value);

  /** @returns whether the ticket has what was typed */
  const flush = (): boolean => {
    clearTimeout(timer.current);
    firstMs.current = null;
    const { draft: text, value: now, onText: hand } = latest.current;
    if (text === null || text === now) return true;
    const before = nowState().openTicket.ticket;
    hand(text, gesture.current);
    return nowState().openTicket.ticket !== before;
  };
  const flushLatest = useRef(flush);
  useEffect(() => {
    flushLatest.current = flush;
  });
  // Leaving the page with words in the field must not lose them.
  useEffect(() => {
    const now = (): void => void flushLatest.current();
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
    },
    onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      setDraft(event.target.value);
      latest.current = { ...latest.current, draft: event.target.value };
      const nowMs = performance.now();
      firstMs.current ??= nowMs;
      clearTimeout(timer.current);
      timer.current = setTimeout(
        () => flushLatest.current(),
        Math.max(0, Math.min(IDLE_MS, firstMs.current + LONGEST_MS - nowMs)),
      );
    },
    onBlur: () => {
      if (!flush()) return;
      setDraft(null);
      latest.current = { ...latest.current, draft: null };
    },
  };
}
