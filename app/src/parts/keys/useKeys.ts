import { useEffect, useLayoutEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { pathHere } from '../../state/boot';
import { redo, undo } from '../../state/persistence/recording';
import { ofBook, redoBook, undoBook } from '../../state/persistence/book';
import type { KeyAction } from '../../state/store/settings';
import { saidAloud } from '../../state/store/openTicket';
import { useAppDispatch, useNowState } from '../../state/store/hooks';
import { BURST_GAP_MS, BurstListener } from './burst';
import { beginFigure, takeBurst } from './walk';
import { STATIONS } from '@loose-pulley/core/record/stations';

/** Whether letters belong to what has the focus: a choice and a slider are walked by arrows and take none. */
const isField = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.matches('input:not([type=radio], [type=checkbox]), textarea') || target.isContentEditable);

/** The field that starts the work has the focus from the start: while it is empty, a sign is still a key of the app. */
const isEmptyFirst = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && target.dataset['first'] !== undefined && target.value === '';
const isSign = (key: string, keys: Readonly<Record<KeyAction, string>>): boolean =>
  /^[^\p{L}\p{N}\s.,]$/u.test(key) && Object.values(keys).includes(key);

/** What a figure begins with. */
const FIGURE = /^[\d.,]$/;

/** Pages say what F and K do while they are shown. */
const pageActions = new Map<KeyAction, () => void>();
export function usePageKey(action: KeyAction, run: (() => void) | undefined): void {
  const latest = useRef(run);
  useEffect(() => {
    latest.current = run;
  });
  useEffect(() => {
    const call = (): void => latest.current?.();
    pageActions.set(action, call);
    return () => {
      if (pageActions.get(action) === call) pageActions.delete(action);
    };
  }, [action]);
}

/**
 * The keys of every page. Single keys wait a moment, since what looks like a key may be the first letter of a
 * caliper's burst; stations take Alt, undo takes Ctrl, so neither can be a reading.
 */
export function useKeys(open: { jump(): void; help(): void }): void {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const nowState = useNowState();
  const latest = useRef(open);
  useLayoutEffect(() => {
    latest.current = open;
  });
  // Before the first paint: whoever sees the page may press a key.
  useLayoutEffect(() => {
    const listener = new BurstListener();
    let timer: ReturnType<typeof setTimeout> | undefined;

    const act = (key: string): void => {
      const { settings } = nowState();
      if (!settings.singleKeys) {
        if (FIGURE.test(key)) beginFigure(key);
        return;
      }
      const action = (Object.keys(settings.keys) as KeyAction[]).find((name) => settings.keys[name] === key);
      if (action === 'jump') latest.current.jump();
      else if (action === 'help') latest.current.help();
      else if (action === 'bench') void navigate('/');
      else if (action === 'newTicket') void navigate('/?new');
      else if (action && pageActions.has(action)) pageActions.get(action)?.();
      else if (FIGURE.test(key)) beginFigure(key);
    };
    /** Gives a burst to the page's fields; where none stands, it is said, so that no reading goes without a word. */
    const read = (text: string): void => {
      if (!takeBurst(text)) dispatch(saidAloud({ text: `Read “${text}”: no field here takes it.`, to: null }));
    };
    const settle = (): void => {
      const heard = listener.settle();
      if (heard?.kind === 'reading') read(heard.text);
      else if (heard) act(heard.key);
    };

    /** The field last entered, and whether something was typed there since: its letters are undone first. */
    let field: HTMLInputElement | null = null;
    let typed = false;
    const onFocusIn = ({ target }: FocusEvent): void => {
      if (target !== field) typed = false;
      field = isField(target) ? (target as HTMLInputElement) : null;
    };
    const onInput = ({ target }: Event): void => {
      if (target === field) typed = true;
    };
    const onPointer = ({ target }: Event): void => {
      if (target !== field) field = null;
    };

    const onKey = (event: KeyboardEvent): void => {
      // On a busy page the next key may come before the timer that gives the last one back: none is lost.
      if (listener.isOver(event.timeStamp)) {
        clearTimeout(timer);
        settle();
        // What went before began a figure: this key is typed on into its field, by the browser.
        if (event.target !== document.activeElement && isField(document.activeElement)) return;
      }
      if (event.key === 'Enter' && field?.tagName === 'INPUT') typed = false;
      if (event.key === 'Tab' || event.key === 'Escape') field = field?.disabled ? null : field;
      if (event.defaultPrevented) return;
      const { ticket } = nowState().openTicket;
      if (event.altKey && /^Digit[1-9]$/.test(event.code) && ticket.status === 'open') {
        event.preventDefault();
        void navigate(`/t/${ticket.id}/${STATIONS[Number(event.code.slice(5)) - 1]}`);
        return;
      }
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        latest.current.jump();
        return;
      }
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
        // A field with typing in it undoes its own letters, by the browser.
        if (typed && event.target === field) return;
        event.preventDefault();
        // On the pages of the bench book it is the book's last step that is meant.
        if (ofBook(pathHere())) void dispatch(event.shiftKey ? redoBook() : undoBook());
        else void dispatch(event.shiftKey ? redo() : undo());
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (isField(event.target)) {
        if (isEmptyFirst(event.target) && isSign(event.key, nowState().settings.keys)) {
          event.preventDefault();
          act(event.key);
        }
        return;
      }
      // The field was closed under the hand, since another tab writes now: what is typed on is no shortcut.
      if (field?.disabled) return;
      // A sheet or an open list hears its own letters.
      if (document.querySelector('[role=dialog], [data-radix-popper-content-wrapper]')) return;
      if (event.key !== 'Enter' && event.key.length !== 1) return;
      clearTimeout(timer);
      const heard = listener.hear(event.key, event.timeStamp);
      if (heard.kind === 'reading') {
        event.preventDefault();
        read(heard.text);
      } else timer = setTimeout(settle, BURST_GAP_MS + 5);
    };
    addEventListener('keydown', onKey);
    addEventListener('focusin', onFocusIn);
    addEventListener('input', onInput);
    addEventListener('pointerdown', onPointer);
    return () => {
      removeEventListener('keydown', onKey);
      removeEventListener('focusin', onFocusIn);
      removeEventListener('input', onInput);
      removeEventListener('pointerdown', onPointer);
      clearTimeout(timer);
    };
  }, [dispatch, navigate, nowState]);
}
