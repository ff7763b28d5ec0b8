import { nanoid } from 'nanoid';
import { carryOver, knownFrom, perhapsSame } from '@loose-pulley/core/views/knownBefore';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { writtenDay } from '../../state/written';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch, useUnit } from '../../state/store/hooks';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Fold } from '../../parts/ui/Fold';

/** So many stand there at once: what one more of the same mechanism knows is mostly the same. */
const SHOWN = 3;

/** Whether a machine of the same name that went back is this one: asked, never assumed. */
export function CameBack() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const before = perhapsSame(ticket, usePastTickets());
  if (!before?.closedAt) return null;
  const say = (as: string | null) => dispatch(recordEvent({ type: 'sameMachineSaid', as }));
  return (
    <section aria-label="Was it here before" className="grid gap-2 border-l-4 border-ink px-4 py-1">
      <p>
        A {before.machine} went back on {writtenDay(before.closedAt)}, number {before.number}
        {before.owner !== '' && `, of ${before.owner}`}. Is this the same one?
      </p>
      <p className="flex flex-wrap gap-2">
        <Button disabled={!canWrite} onClick={() => say(before.id)}>
          The same: it came back
        </Button>
        <Button disabled={!canWrite} onClick={() => say(null)}>
          Another one
        </Button>
      </p>
    </section>
  );
}

/** What earlier tickets of this machine or mechanism know, to start from. */
export function KnownBefore() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const past = usePastTickets();
  const knowing = past.filter((one) => knownFrom(one).words.length > 0);
  if (knowing.length === 0) return null;
  const row = (one: (typeof knowing)[number]) => {
    const { words } = knownFrom(one);
    const events = carryOver(one, ticket, () => nanoid(12));
    const ran = one.drives.flatMap(({ name, tries }) =>
      tries
        .filter(({ verdict }) => verdict === 'right')
        .slice(-1)
        .map((belt) => `drive ${name} ran with ${beltLabel(belt, unit).sign} ${beltLabel(belt, unit).size}`),
    );
    return (
      <div key={one.id} className="flex flex-wrap items-center justify-between gap-2 border-t border-hair pt-2">
        <p>
          <strong>{one.number}</strong> {one.machine}: {[...words, ...ran].join('; ')}.
        </p>
        {events.length > 0 && (
          <Button
            disabled={!canWrite}
            onClick={() => events.forEach((event) => dispatch(recordEvent(event)))}
            aria-label={`Carry over what ${one.number} knows`}
          >
            Carry it over
          </Button>
        )}
      </div>
    );
  };
  return (
    <section aria-labelledby="known-before" className="grid gap-2 border border-ink px-4 py-3">
      <h3 id="known-before" className="text-lg">
        Known from before
      </h3>
      {knowing.slice(0, SHOWN).map(row)}
      {knowing.length > SHOWN && (
        <Fold title={`${knowing.length - SHOWN} more`}>
          <div className="grid gap-2">{knowing.slice(SHOWN).map(row)}</div>
        </Fold>
      )}
      <p className="text-sm text-soft">
        Carried over: mechanism, what is normal, error codes, pulleys, shafts and tray figures. Belts stretch, so they
        are measured anew.
      </p>
    </section>
  );
}
