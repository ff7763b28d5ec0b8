import { useEffect, useRef, useState, type ChangeEvent } from 'react';
import { nanoid } from 'nanoid';

const IDLE_MS = 400;

/**
 * Words being typed: shown at once, handed on when the typing rests and when the field is left. All that is typed
 * between entering and leaving the field is one gesture.
 */
export function useDraft(value: string, onText: (text: string, gesture: string) => void) {
  const [draft, setDraft] = useState<string | null>(null);
  const gesture = useRef('');
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const latest = useRef({ draft, value, onText });
  useEffect(() => {
    latest.current = { draft, value, onText };
  });

  const flush = (): void => {
    clearTimeout(timer.current);
    const { draft: text, value: now, onText: hand } = latest.current;
    if (text !== null && text !== now) hand(text, gesture.current);
  };
  // Leaving the page with words in the field must not lose them.
  useEffect(() => {
    addEventListener('pagehide', flush);
    return () => {
      removeEventListener('pagehide', flush);
      flush();
    };
  }, []);

  return {
    value: draft ?? value,
    onFocus: () => {
      gesture.current = nanoid(10);
    },
    onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      setDraft(event.target.value);
      clearTimeout(timer.current);
      timer.current = setTimeout(flush, IDLE_MS);
    },
    onBlur: () => {
      flush();
      setDraft(null);
    },
  };
}
