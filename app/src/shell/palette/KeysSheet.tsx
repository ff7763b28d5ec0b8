import { Link } from 'react-router';
import { useDark } from '../../parts/ui/useDark';
import { useState, type KeyboardEvent } from 'react';
import { DEFAULT_KEYS, keyBound, singleKeysSwitched, themeChosen, type KeyAction } from '../../state/store/settings';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import UnitChoice from '../UnitChoice';
import { Button } from '../../parts/ui/Button';
import { Sheet } from '../../parts/ui/Sheet';

const ACTIONS: Readonly<Record<KeyAction, string>> = {
  jump: 'Jump to a ticket, a station, a command',
  help: 'This sheet',
  bench: 'Bench',
  newTicket: 'New ticket',
  fit: 'On Size: fit the belt shown, log the try',
  keep: 'On Size: keep the old belt, cleaned',
  ranRight: 'On Size: the last belt tried ran right',
  confirm: 'On Find: what the owner said is so',
  askOn: 'On Find: ask on anyway',
  cured: 'On Prove and Hand back: the first complaint that is open is cured',
  cycleStart: 'Counting cycles: start the watch',
  cycleGood: 'Counting cycles: good',
  cycleBad: 'Counting cycles: bad',
  cycleSlow: 'Counting cycles: slow',
  cycleHelped: 'Counting cycles: helped',
  power: 'On a ticket: power, plugged in or unplugged',
  lid: 'On a ticket: the lid, on or off',
  stepBack: 'On Rebuild: what stands first is done (a foot pedal)',
  layerBack: 'On Rebuild: all of this layer is back',
  answer1: 'On Find: the first answer',
  answer2: 'On Find: the second',
  answer3: 'On Find: the third',
  answer4: 'On Find: the fourth',
  answer5: 'On Find: the fifth',
  answer6: 'On Find: the sixth',
  answerUnclear: 'On Find: unclear',
  answerNotTried: 'On Find: not tried, ask another',
  answerOther: 'On Find: another test, by typing',
  firstFinding: 'Where two findings contradict: the first is so',
  otherFinding: 'Where two findings contradict: the other is so',
};
const FIXED = [
  ['Alt+1 … Alt+9', 'stations, in working order'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['Ctrl+K', 'jump, also from within a field'],
  ['Enter', 'in a field: take the reading, go to the next'],
  ['Escape', 'in a field: give the old reading back'],
  ['← →', 'on the stretch ruler: the next belt'],
  ['Shift+← →', 'on the stretch ruler: lengths between the belts'],
] as const;

/** What each key does; single keys can be changed, for a foot pedal, or switched off. */
export default function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { keys, singleKeys } = useAppSelector(({ settings }) => settings);
  const dark = useDark();
  const taken = (action: KeyAction, key: string) =>
    (Object.keys(keys) as KeyAction[]).find((other) => other !== action && keys[other] === key);
  /** The action whose key is being changed: only then does a press bind one. */
  const [listening, setListening] = useState<KeyAction | null>(null);
  const [takenBy, setTakenBy] = useState('');
  const bind = (event: KeyboardEvent, action: KeyAction): void => {
    if (event.key === 'Escape') {
      event.stopPropagation();
      setListening(null);
      return;
    }
    if (event.key.length !== 1 || event.ctrlKey || event.altKey || event.metaKey || /[\d.,+\- ]/.test(event.key))
      return;
    event.preventDefault();
    const key = event.key.toLowerCase();
    const other = taken(action, key);
    setTakenBy(other ? `“${key}” is taken: ${ACTIONS[other]}.` : '');
    if (other) return;
    dispatch(keyBound({ action, key }));
    setListening(null);
  };
  return (
    <Sheet
      title="Keys"
      onClose={onClose}
      className="top-[6vh] left-1/2 max-h-[88vh] w-[min(600px,calc(100vw-24px))] -translate-x-1/2 p-5"
    >
      <Link
        to="/guide"
        onClick={onClose}
        className="mt-3 flex min-h-11 items-center font-semibold underline decoration-2 underline-offset-4"
      >
        The guide: one task a page, with pictures
      </Link>
      <dl className="mt-1">
        {FIXED.map(([key, what]) => (
          <div key={key} className="flex justify-between gap-4 border-b border-hair py-2">
            <dt className="font-semibold whitespace-nowrap">{key}</dt>
            <dd className="text-right">{what}</dd>
          </div>
        ))}
      </dl>
      <h3 className="mt-5 text-base">Single keys</h3>
      <p className="text-sm text-soft">
        To change a key, press its button, then the key or the pedal. A typing caliper never sets one off: its burst is
        always taken as a reading, and Enter never fits a belt or hands a machine back.
      </p>
      <p role="status" className="min-h-6 font-semibold text-live">
        {takenBy}
      </p>
      <div className="mt-2">
        {(Object.keys(ACTIONS) as KeyAction[]).map((action) => (
          <div key={action} className="flex min-h-11 items-center justify-between gap-4 border-b border-hair py-1">
            {ACTIONS[action]}
            <Button
              disabled={!singleKeys}
              aria-label={`Key for: ${ACTIONS[action]}`}
              aria-pressed={listening === action}
              className="min-w-24 justify-center"
              onClick={() => setListening(listening === action ? null : action)}
              onBlur={() => setListening(null)}
              onKeyDown={(event) => listening === action && bind(event, action)}
            >
              {listening === action ? 'press a key' : keys[action]}
            </Button>
          </div>
        ))}
      </div>
      <div className="mt-4 flex flex-wrap gap-2">
        <Button onClick={() => dispatch(singleKeysSwitched(!singleKeys))} aria-pressed={singleKeys}>
          {singleKeys ? 'Switch single keys off' : 'Switch single keys on'}
        </Button>
        <Button
          onClick={() =>
            (Object.keys(DEFAULT_KEYS) as KeyAction[]).forEach((action) =>
              dispatch(keyBound({ action, key: DEFAULT_KEYS[action] })),
            )
          }
        >
          Restore defaults
        </Button>
        <span className="sm:hidden">
          <UnitChoice />
        </span>
        <Button
          className="sm:hidden"
          aria-pressed={dark}
          onClick={() => dispatch(themeChosen(dark ? 'light' : 'dark'))}
        >
          Dark
        </Button>
        <Button look="strong" onClick={onClose}>
          Close
        </Button>
      </div>
    </Sheet>
  );
}
