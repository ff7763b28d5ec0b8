import {
  COLUMN_NAMES,
  columnDoubts,
  type Column,
  type LineProblem,
  type Meeting,
  type ReadList,
} from '@loose-pulley/core/files/lists';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { capital, counted, listed } from '@loose-pulley/core/base/units';
import { Button, CommitButton } from '../../parts/ui/Button';
import { Fold } from '../../parts/ui/Fold';
import { LongList } from '../../parts/ui/LongList';
import { Segments } from '../../parts/ui/Segments';
import { TextLine } from '../../parts/ui/TextLine';
import { keptHere } from '../../parts/ui/useDraft';
import { useUnit } from '../../state/store/hooks';
import type { Opened } from './useList';

const SHOWN = 12;
const KIT_SIZES_MAX = 500;

/** Lines with what is to be said of each. */
function Lines({ lines }: { readonly lines: readonly LineProblem[] }) {
  return (
    <>
      <ul>
        {lines.slice(0, SHOWN).map(({ line, words }) => (
          <li key={`${line} ${words}`}>
            line {line}: {words}
          </li>
        ))}
      </ul>
      {lines.length > SHOWN && <p>and {lines.length - SHOWN} more.</p>}
    </>
  );
}

/** A list as it would come in: what is asked of it, what looks odd, and every size as it was understood. */
export function ListPreview({
  opened,
  read,
  meeting,
  onColumn,
  onOpened,
  onTake,
  onDrop,
}: {
  readonly opened: Opened;
  readonly read: ReadList;
  readonly meeting: Meeting;
  readonly onColumn: (index: number, column: Column | '') => void;
  readonly onOpened: (opened: Opened) => void;
  readonly onTake: () => void;
  readonly onDrop: () => void;
}) {
  const unit = useUnit();
  if (read.problems.length > 0)
    return (
      <div role="alert" className="border-l-4 border-live pl-3">
        <p className="font-semibold text-live">
          Nothing was imported. {counted(read.problems.length, 'line')} cannot be read:
        </p>
        <Lines lines={read.problems} />
      </div>
    );
  const { head, rows } = opened.table;
  const doubts = columnDoubts(head).filter(({ index }) => !opened.chosen.includes(index));
  const left = head.filter(
    (_, index) =>
      opened.matching[index] === null &&
      !doubts.some((doubt) => doubt.index === index) &&
      rows.some(({ cells }) => (cells[index] ?? '').trim() !== ''),
  );
  const asksRings = read.ringLines.length > 0 && opened.said.ringLengths === undefined;
  const kit = opened.kit.trim();
  const tooManyForKit = kit !== '' && read.items.length > KIT_SIZES_MAX;
  const odd = new Set(read.odd.map(({ line }) => line));
  const there = new Map(meeting.here.map(([bag, one]) => [one, bag]));
  const pieces = read.items.reduce((sum, { quantity }) => sum + quantity, 0);
  return (
    <>
      {doubts.map(({ index, words, between }) => (
        <div key={index} role="alert" className="grid gap-2 border-l-4 border-live pl-3">
          <p>{words} Which is it?</p>
          <p className="flex flex-wrap gap-2">
            {between.map((column) => (
              <Button key={column} onClick={() => onColumn(index, column)}>
                {capital(COLUMN_NAMES[column])}
              </Button>
            ))}
            <Button look="quiet" onClick={() => onColumn(index, '')}>
              Leave it out
            </Button>
          </p>
        </div>
      ))}
      {read.ringLines.length > 0 && (
        <div role="alert" className="grid gap-2 border-l-4 border-live pl-3">
          <p>
            {counted(read.ringLines.length, 'ring')} (line {listed(read.ringLines.slice(0, SHOWN).map(String))}
            {read.ringLines.length > SHOWN && ' and more'}) {read.ringLines.length === 1 ? 'stands' : 'stand'} under a
            length, and rings are sold by their inner diameter. Which is it?
          </p>
          <Segments
            label="The rings’ figures are"
            value={opened.said.ringLengths ?? ''}
            options={[
              ['across', 'inner diameters'],
              ['along', 'inner lengths'],
            ]}
            onChoose={(ringLengths) => onOpened({ ...opened, said: { ringLengths: ringLengths || undefined } })}
          />
        </div>
      )}
      {read.odd.length > 0 && (
        <div className="border-l-4 border-ink pl-3">
          <p className="font-semibold">
            {counted(read.odd.length, 'thing')} to look at; what is not put right in the list comes in as it stands:
          </p>
          <Lines lines={read.odd} />
        </div>
      )}
      {left.length > 0 && <p>Left out: {listed(left.map((words) => words || 'a column without a name'))}.</p>}
      <p>
        {counted(read.items.length, 'size')}, {pieces} pieces.
        {read.joined > 0 && ` ${counted(read.joined, 'line')} of one size joined.`}
      </p>
      <Fold title="As it would hang in the drawer" open>
        <LongList
          items={read.items}
          keyOf={({ id }) => id}
          usualPx={48}
          label="The list as it was understood"
          className="text-[15px]"
        >
          {(one, index) => {
            const label = beltLabel(one, unit);
            const bag = there.get(one);
            return (
              <div className="border-b border-hair py-1">
                {odd.has(read.lines[index] ?? 0) && <strong className="text-live">Look: </strong>}
                <span className="font-semibold">{label.size}</span>, {one.quantity}
                {one.place && `, in ${one.place}`}
                {one.label && `, ${one.label}`}
                <span className="block text-sm text-soft">
                  line {read.lines[index]}: {label.words}
                  {bag && `; here already, ${bag.quantity}`}
                </span>
              </div>
            );
          }}
        </LongList>
      </Fold>
      {meeting.here.length > 0 && kit === '' && (
        <div className="grid gap-1">
          <p>{counted(meeting.here.length, 'size')} of them here already. The list’s figures are</p>
          <Segments
            label="The list’s figures are"
            value={opened.counts}
            options={[
              ['more', 'pieces that come in'],
              ['all', 'what hangs there, counted'],
            ]}
            onChoose={(counts) => onOpened({ ...opened, counts })}
          />
        </div>
      )}
      <TextLine
        label="It is a kit, still together: its name"
        value={opened.kit}
        maxLength={120}
        onText={keptHere((text: string) => onOpened({ ...opened, kit: text }))}
      />
      {tooManyForKit && <p className="text-live">A kit holds at most {KIT_SIZES_MAX} sizes.</p>}
      <div className="flex flex-wrap gap-2">
        <CommitButton
          look="strong"
          disabled={tooManyForKit || asksRings || doubts.length > 0 || read.items.length === 0}
          onClick={onTake}
        >
          {kit !== ''
            ? 'Keep it as a kit'
            : meeting.here.length > 0 && opened.counts === 'all'
              ? 'Count the drawer by it'
              : 'Put all of it in the drawer'}
        </CommitButton>
        <Button onClick={onDrop}>Not now</Button>
      </div>
    </>
  );
}
