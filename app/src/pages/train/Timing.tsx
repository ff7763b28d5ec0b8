import { DRIVEN, loaderOf } from '@loose-pulley/core/base/loaders';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import {
  looksRight,
  memberWords,
  nextTrial,
  PLAY_MM,
  timed,
  toothMm,
  type Member,
} from '@loose-pulley/core/physics/train';
import { trainView } from '@loose-pulley/core/views/train';
import { capital, counted, listed, parseNumber } from '@loose-pulley/core/base/units';

import { recordEvents } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';
import { keptHere } from '../../parts/ui/useDraft';
import { TextLine } from '../../parts/ui/TextLine';

const teethWords = (teeth: number): string =>
  teeth === 0 ? 'on its mark' : `${counted(Math.abs(teeth), 'tooth', 'teeth')} ${teeth > 0 ? 'on' : 'back'}`;

/** What one tooth either way does, what was tried, and which trial is next. */
export function Timing({ member }: { readonly member: Member }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [teeth, setTeeth] = useState(0);
  const [earlyMm, setEarlyMm] = useState<number | null>(null);
  const [what, setWhat] = useState('');
  const { train } = ticket;
  const { belts } = trainView(ticket);
  if (!timed(train.members).some(({ id }) => id === member.id)) return null;
  const each = toothMm(train, belts, member.id);
  const moved = DRIVEN[loaderOf(ticket.loader).driven].word;
  const marked = train.members.filter(({ reference }) => reference.trim() !== '').map(({ id }) => id);
  const wrong = looksRight(train.members, member.id, marked);
  const trials = train.trials.filter(({ memberId }) => memberId === member.id);
  const last = trials[trials.length - 1];
  const next =
    last && !last.right && last.earlyMm !== null && each
      ? nextTrial({ toothMm: each, triedTeeth: last.teeth, earlyMm: last.earlyMm })
      : undefined;
  const log = (right: boolean): void => {
    const at = new Date().toISOString();
    // Put right, it is what a new proof may answer.
    const cured = right && trials.some((one) => !one.right);
    const done = dispatch(
      recordEvents([
        ...(cured
          ? [
              {
                type: 'treatmentRecorded' as const,
                treatment: { id: nanoid(10), at, what: `${capital(memberWords(member))} set on its mark` },
              },
            ]
          : []),
        {
          type: 'toothTried',
          trial: {
            id: nanoid(10),
            at,
            memberId: member.id,
            teeth,
            earlyMm: right ? 0 : earlyMm,
            what,
            right,
          },
        },
      ]),
    );
    if (done) {
      setWhat('');
      setEarlyMm(null);
    }
  };
  return (
    <section aria-label="Timing" className="grid gap-2 border-t border-hair pt-2">
      <h4 className="font-semibold">Timing</h4>
      {each === undefined ? (
        <p className="text-soft">What a tooth does is told once the train leads to a rack or rollers of known size.</p>
      ) : (
        <p>
          One tooth on: {moved} {each.toFixed(1)} mm early. One back: {each.toFixed(1)} mm late.
        </p>
      )}
      {wrong.length > 0 && (
        <p className="text-[15px]">
          Looks right and is not: {listed(wrong.map(String))} teeth out bring every mark back.
        </p>
      )}
      {marked.length === 0 && each !== undefined && (
        <p className="text-[15px]">
          Nothing of the train carries a mark: every tooth looks right while it is put together.{' '}
          {each > PLAY_MM
            ? `Only where the ${moved} stands at its end tells: ${each.toFixed(1)} mm for each tooth.`
            : `One tooth is less than the play at the end of the ${moved}’s travel: nothing to be seen tells it, only whether the switch is reached.`}
        </p>
      )}
      {loaderOf(ticket.loader).has.homing && (
        <p className="text-[15px] text-soft">
          Some of these find home by themselves under power, others snap to rest when a gear is pulled: look before you
          count.
        </p>
      )}
      {trials.length > 0 && (
        <ol>
          {trials.map((one) => (
            <li key={one.id} className="border-b border-hair py-1">
              {teethWords(one.teeth)}:{' '}
              {one.right ? (
                <strong>right</strong>
              ) : (
                [
                  one.earlyMm === null ? '' : `${Math.abs(one.earlyMm)} mm ${one.earlyMm >= 0 ? 'early' : 'late'}`,
                  one.what,
                ]
                  .filter(Boolean)
                  .join(', ')
              )}
            </li>
          ))}
        </ol>
      )}
      {next !== undefined && (
        <p className="flex flex-wrap items-center gap-3 font-semibold">
          Try next: {teethWords(next)}.
          <Button disabled={!canWrite} onClick={() => setTeeth(next)}>
            Set it
          </Button>
        </p>
      )}
      <NumberLine
        label="Teeth from its mark, minus is back"
        unit="count"
        min={-99}
        max={99}
        value={teeth}
        parse={parseNumber}
        disabled={!canWrite}
        onNumber={(value) => setTeeth(Math.round(value ?? 0))}
      />
      <NumberLine
        key={`early-${trials.length}`}
        label={`The ${moved} was early by, minus is late`}
        unit="mm"
        min={-200}
        max={200}
        value={earlyMm}
        parse={parseNumber}
        disabled={!canWrite}
        onNumber={setEarlyMm}
      />
      <TextLine
        key={`what-${trials.length}`}
        label="What it did"
        value={what}
        maxLength={400}
        disabled={!canWrite}
        onText={keptHere(setWhat)}
      />
      <div className="flex flex-wrap gap-2">
        <Button disabled={!canWrite} onClick={() => log(true)}>
          It is right so
        </Button>
        <Button disabled={!canWrite} onClick={() => log(false)}>
          Not right: log the trial
        </Button>
      </div>
    </section>
  );
}
