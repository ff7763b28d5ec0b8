import {
  besideCount,
  cleanRunState,
  FEW_CYCLES,
  kindWords,
  leastClean,
  TOO_MANY_CYCLES,
  wantedWords,
  type CleanRun,
  type FailedKind,
} from '@loose-pulley/core/work/proving';
import { useTicket } from '../../parts/ticket/useTicket';

/** How far clean cycles have come towards a count. */
function Progress({ clean, count }: { readonly clean: number; readonly count: number }) {
  const share = Math.min(1, clean / count);
  return (
    <svg viewBox="0 0 200 12" preserveAspectRatio="none" aria-hidden className="h-3 w-full">
      <rect x="0.5" y="0.5" width="199" height="11" className="fill-none stroke-ink" />
      <rect x="0" y="0" width={200 * share} height="12" className={share >= 1 ? 'fill-ink' : 'fill-soft'} />
    </svg>
  );
}

/** Each kind of movement that failed, and how far only cycles of that kind have come: the others are shown beside. */
export function Kinds({
  kinds,
  cleanRun,
}: {
  readonly kinds: readonly FailedKind[];
  readonly cleanRun: CleanRun | undefined;
}) {
  const { ticket } = useTicket();
  const named = ticket.verdicts.some(({ state }) => state !== 'ruledOut');
  if (kinds.length === 0 && !named) return null;
  if (kinds.length === 0) {
    const clean = cleanRun ? cleanRunState(cleanRun, ticket.cycles).clean : 0;
    return (
      <section aria-label="How many clean cycles">
        <Always clean={clean} cleanRun={cleanRun} />
      </section>
    );
  }
  const beside = cleanRun ? besideCount(ticket.cycles, cleanRun, kinds) : 0;
  return (
    <section aria-label="How many clean cycles" className="grid gap-4">
      {kinds.map((kind) => (
        <div key={kindWords(kind)} className="grid gap-2">
          <h4 className="text-base first-letter:uppercase">{kindWords(kind)}</h4>
          <p className="text-sm text-soft">
            failed {kind.failures} of {kind.n} so counted
          </p>
          {kind.always ? <Always clean={kind.clean} cleanRun={cleanRun} /> : <Wanted kind={kind} cleanRun={cleanRun} />}
        </div>
      ))}
      {beside > 0 && (
        <p className="border-t border-hair pt-2">
          {beside} clean {beside === 1 ? 'cycle' : 'cycles'} of other kinds beside: they prove nothing of these.
        </p>
      )}
    </section>
  );
}

/** A fault that was always there: its cause, and a few cycles. */
function Always({ clean, cleanRun }: { readonly clean: number; readonly cleanRun: CleanRun | undefined }) {
  const { ticket } = useTicket();
  const cause =
    ticket.verdicts.find(({ state }) => state === 'cured') ?? ticket.verdicts.find(({ state }) => state === 'found');
  const treated = ticket.treatments[ticket.treatments.length - 1];
  return (
    <div className="grid gap-1">
      <p>
        What is always there is proved by its cause put right, and a few cycles under each condition. The arithmetic of
        rare faults does not apply.
      </p>
      <p>
        Cause: {cause ? <strong>{cause.words}</strong> : <span className="text-live">not said yet, at Find</span>}. Put
        right: {treated ? <strong>{treated.what}</strong> : <span className="text-live">not written down yet</span>}.
      </p>
      <p className="text-xl font-semibold">
        {cleanRun ? `${clean} of ${FEW_CYCLES}` : FEW_CYCLES}
        {cleanRun && clean >= FEW_CYCLES && ' · shown'}
      </p>
      {cleanRun && <Progress clean={clean} count={FEW_CYCLES} />}
    </div>
  );
}

function Wanted({ kind, cleanRun }: { readonly kind: FailedKind; readonly cleanRun: CleanRun | undefined }) {
  const { wanted, clean } = kind;
  if (!wanted) return null;
  return (
    <>
      {leastClean(kind) > TOO_MANY_CYCLES || wanted.fisher > TOO_MANY_CYCLES ? (
        <p className="border-l-4 border-live pl-3">
          It fails so rarely that {wanted.fisher} clean cycles would be wanted: not to be proved on a bench. Say what
          was shown instead.
        </p>
      ) : null}
      <ul className="grid gap-3">
        {wantedWords(wanted).map(({ id, count, means }) => (
          <li key={id} className="grid gap-1">
            <span className="text-xl font-semibold">
              {cleanRun ? `${clean} of ${count}` : count}
              {cleanRun && clean >= count && ' · shown'}
            </span>
            {cleanRun && <Progress clean={clean} count={count} />}
            <span className="text-sm text-soft">{means}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
