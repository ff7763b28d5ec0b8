import { totalsOf } from '@loose-pulley/core/shop/lifetimes';
import { REMEDY_KIND_NAMES, type TicketSummary } from '@loose-pulley/core/record/ticket';
import { counted } from '@loose-pulley/core/base/units';

const SHOWN = 6;

function Ranked({ title, rows }: { readonly title: string; readonly rows: ReadonlyArray<readonly [string, number]> }) {
  if (rows.length === 0) return null;
  return (
    <div>
      <h3 className="border-b border-hair text-base">{title}</h3>
      <ul>
        {rows.slice(0, SHOWN).map(([words, count]) => (
          <li key={words} className="flex justify-between gap-3 border-b border-hair py-1">
            <span>{words}</span>
            <span className="font-semibold">{count}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What the tickets shown come to. */
export function Totals({
  shown,
  all,
}: {
  readonly shown: readonly TicketSummary[];
  readonly all: readonly TicketSummary[];
}) {
  const totals = totalsOf(shown, all);
  const hours = totals.minutes / 60;
  return (
    <div className="grid gap-4 pb-3">
      <p>
        {counted(totals.tickets, 'ticket')}, {totals.open} open; {hours < 10 ? hours.toFixed(1) : Math.round(hours)}{' '}
        hours at the bench.{' '}
        {totals.handedBack > 0 && `${totals.returned} of ${totals.handedBack} handed back came again within a year.`}
      </p>
      <div className="grid gap-5 sm:grid-cols-3">
        <Ranked title="What failed" rows={totals.causes} />
        <Ranked title="What cured" rows={totals.cured} />
        <Ranked
          title="Put right by"
          rows={totals.remedies.map(([kind, count]) => [REMEDY_KIND_NAMES[kind], count] as const)}
        />
      </div>
    </div>
  );
}
