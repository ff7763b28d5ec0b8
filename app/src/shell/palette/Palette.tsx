import { isPractice } from '../../state/boot';
import { isAllUnfolded, unfoldAll } from '../../state/persistence/unfolded';
import { useDark } from '../../parts/ui/useDark';
import { useState } from 'react';
import { Command } from 'cmdk';
import { useNavigate } from 'react-router';
import { redo, undo } from '../../state/persistence/recording';
import { sayMoment } from '../../state/persistence/moments';
import { themeChosen, unitChosen } from '../../state/store/settings';
import { selectSummaries, useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { PLACES, type Place } from '../places';
import { CALLED_ALSO } from './calledAlso';
import { Sheet } from '../../parts/ui/Sheet';
import { STATION_NAMES, STATIONS } from '@loose-pulley/core/record/stations';

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

  const go = (to: string) => () => void navigate(to);
  const listed = (of: Place['of'], below: string): Entry[] =>
    PLACES.flatMap(({ path, name, note, of: one, apart }) =>
      one === of && note && !(apart && isPractice)
        ? [{ id: path || 'bench', name, note, run: apart ? () => location.assign(`/${path}`) : go(`${below}${path}`) }]
        : [],
    );
  const here: Entry[] =
    open.status === 'open'
      ? [
          ...STATIONS.map((station, index) => ({
            id: station,
            name: STATION_NAMES[station],
            note: `this ticket, Alt+${index + 1}`,
            run: go(`/t/${open.id}/${station}`),
          })),
          ...listed('ticket', `/t/${open.id}/`),
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
    ...listed('bench', '/'),
    { id: 'new', name: 'New ticket', note: 'opens on the Bench', run: go('/?new') },
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
    isAllUnfolded()
      ? { id: 'fold', name: 'Fold everything', note: 'the first look only', run: () => unfoldAll(false) }
      : { id: 'fold', name: 'Unfold everything', note: 'from the next page on', run: () => unfoldAll(true) },
    { id: 'help', name: 'Keys', note: 'what each key does', run: onHelp },
  ];
  const tickets: Entry[] = summaries.map((one) => ({
    id: one.id,
    name: `${one.number} ${one.machine || 'Unnamed machine'}`,
    note: one.closedAt ? 'handed back' : one.complaint,
    run: go(`/t/${one.id}/${one.page}`),
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
  const fits = (entry: Entry) =>
    words.every((word) => `${entry.name} ${entry.note} ${CALLED_ALSO[entry.id] ?? ''}`.toLowerCase().includes(word));
  const list = [...labelled, ...[...here, ...commands, ...tickets].filter(fits)].slice(0, MOST);
  const run = (entry: Entry): void => {
    onClose();
    entry.run();
  };
  return (
    <Sheet
      quiet
      title="Jump to a ticket, a station or a command"
      onClose={onClose}
      className="top-[12vh] left-1/2 w-[min(560px,calc(100vw-24px))] -translate-x-1/2 p-4"
    >
      <Command label="Jump to" shouldFilter={false} loop>
        <Command.Input autoFocus value={text} onValueChange={setText} className="field mt-1 w-full text-xl" />
        <Command.List label="Places" className="mt-2">
          <Command.Empty className="p-2">Nothing of that name. The Log searches more.</Command.Empty>
          {list.map((entry) => (
            <Command.Item
              key={entry.id}
              value={entry.id}
              onSelect={() => run(entry)}
              className="group flex min-h-11 cursor-pointer items-center justify-between gap-4 border-b border-hair px-2 aria-selected:bg-ink aria-selected:text-paper"
            >
              <span className="truncate font-semibold">{entry.name}</span>
              <span className="truncate text-sm text-soft group-aria-selected:text-paper">{entry.note}</span>
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Sheet>
  );
}
