import { useDark } from '../../parts/ui/useDark';
import { useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { redo, undo } from '../../state/persistence/actions';
import { sayMoment } from '../../state/persistence/moments';
import { themeChosen, unitChosen } from '../../state/store/settings';
import { selectSummaries, useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { cx } from '../../parts/ui/cx';
import { Sheet } from '../../parts/ui/Sheet';
import { STATION_NAMES, STATIONS } from '@loose-pulley/core/stations';

interface Entry {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly run: () => void;
}

const MOST = 9;

/** Jump: type a few letters of a ticket, a station or a command. */
export default function Palette({ onClose, onHelp }: { readonly onClose: () => void; readonly onHelp: () => void }) {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const summaries = useAppSelector(selectSummaries);
  const open = useAppSelector(({ openTicket }) => openTicket.ticket);
  const settings = useAppSelector((state) => state.settings);
  const dark = useDark();
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);

  const go = (to: string) => () => void navigate(to);
  const here: Entry[] =
    open.status === 'open'
      ? [
          ...STATIONS.map((station, index) => ({
            id: station,
            name: STATION_NAMES[station],
            note: `this ticket, Alt+${index + 1}`,
            run: go(`/t/${open.id}/${station}`),
          })),
          { id: 'sheet', name: 'Bench sheet', note: 'this ticket, to print', run: go(`/t/${open.id}/sheet`) },
          { id: 'letter', name: 'Letter to the owner', note: 'this ticket, to print', run: go(`/t/${open.id}/letter`) },
          { id: 'history', name: 'History', note: 'this ticket', run: go(`/t/${open.id}/timeline`) },
          { id: 'labels', name: 'Labels for the bags', note: 'this ticket, to print', run: go(`/t/${open.id}/labels`) },
          { id: 'power', name: 'Power', note: 'it is plugged in now', run: () => dispatch(sayMoment('power')) },
          {
            id: 'unplugged',
            name: 'Unplugged',
            note: 'the plug is out now',
            run: () => dispatch(sayMoment('unplugged')),
          },
          { id: 'lidOn', name: 'Lid on', note: 'the lid is on now', run: () => dispatch(sayMoment('lid')) },
          { id: 'lidOff', name: 'Lid off', note: 'the lid is off now', run: () => dispatch(sayMoment('lidOff')) },
          { id: 'undo', name: 'Undo', note: 'Ctrl+Z', run: () => void dispatch(undo()) },
          { id: 'redo', name: 'Redo', note: 'Ctrl+Shift+Z', run: () => void dispatch(redo()) },
        ]
      : [];
  const commands: Entry[] = [
    { id: 'bench', name: 'Bench', note: 'what is open', run: go('/') },
    { id: 'new', name: 'New ticket', note: 'opens on the Bench', run: go('/?new') },
    { id: 'knowledge', name: 'What the adviser knows', note: 'causes and tests, every number', run: go('/knowledge') },
    { id: 'why', name: 'Why measure', note: 'every way of choosing, played', run: go('/why') },
    { id: 'log', name: 'Log', note: 'every ticket, files in and out', run: go('/log') },
    {
      id: 'unit',
      name: settings.unit === 'mm' ? 'Inches' : 'Millimetres',
      note: 'unit of the screen',
      run: () => dispatch(unitChosen(settings.unit === 'mm' ? 'in' : 'mm')),
    },
    {
      id: 'dark',
      name: dark ? 'Light' : 'Dark',
      note: 'look',
      run: () => dispatch(themeChosen(dark ? 'light' : 'dark')),
    },
    { id: 'help', name: 'Keys', note: 'what each key does', run: onHelp },
  ];
  const tickets: Entry[] = summaries.map((one) => ({
    id: one.id,
    name: `${one.number} ${one.machine || 'Unnamed machine'}`,
    note: one.closedAt ? 'handed back' : one.complaint,
    run: go(`/t/${one.id}/${one.next}`),
  }));
  // The code of a label, typed or scanned, opens its step.
  const code = /^(\S+)-(\d+)$/.exec(text.trim());
  const labelled: Entry[] = summaries
    .filter(({ number }) => number === code?.[1])
    .map((one) => ({
      id: `label-${one.id}`,
      name: `Number ${code?.[2]} of ${one.number} ${one.machine}`,
      note: `label ${text.trim()}`,
      run: go(`/t/${one.id}/strip?step=${code?.[2]}`),
    }));
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (entry: Entry) => words.every((word) => `${entry.name} ${entry.note}`.toLowerCase().includes(word));
  const list = [...labelled, ...[...here, ...commands, ...tickets].filter(fits)].slice(0, MOST);
  const chosen = list[Math.min(at, list.length - 1)];
  const run = (entry: Entry | undefined): void => {
    if (!entry) return;
    onClose();
    entry.run();
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step !== 0) {
      event.preventDefault();
      setAt((now) => (Math.min(now, list.length - 1) + step + list.length) % Math.max(list.length, 1));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      run(chosen);
    }
  };

  return (
    <Sheet
      quiet
      title="Jump to a ticket, a station or a command"
      onClose={onClose}
      className="top-[12vh] left-1/2 w-[min(560px,calc(100vw-24px))] -translate-x-1/2 p-4"
    >
      <input
        autoFocus
        role="combobox"
        aria-expanded
        aria-controls="jump-list"
        aria-activedescendant={chosen && `jump-${chosen.id}`}
        aria-label="Jump to"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
        }}
        onKeyDown={onKeyDown}
        className="field mt-1 w-full text-xl"
        autoComplete="off"
      />
      <ul id="jump-list" role="listbox" aria-label="Places" className="mt-2">
        {list.map((entry) => (
          // Keys are handled on the combobox, where the focus stays.
          // eslint-disable-next-line jsx-a11y/click-events-have-key-events
          <li
            key={entry.id}
            id={`jump-${entry.id}`}
            role="option"
            tabIndex={-1}
            aria-selected={entry === chosen}
            onClick={() => run(entry)}
            className={cx(
              'flex min-h-11 cursor-pointer items-center justify-between gap-4 border-b border-hair px-2',
              entry === chosen && 'bg-ink text-paper',
            )}
          >
            <span className="truncate font-semibold">{entry.name}</span>
            <span className={cx('truncate text-sm', entry !== chosen && 'text-soft')}>{entry.note}</span>
          </li>
        ))}
      </ul>
      {list.length === 0 && <p className="p-2">Nothing of that name. The Log searches more.</p>}
    </Sheet>
  );
}
