import { formatDay } from '@loose-pulley/core/base/units';
import type { TicketSummary } from '@loose-pulley/core/record/ticket';
import { Link } from 'react-router';
import { today } from '../../state/written';
import { Button } from '../../parts/ui/Button';
import { download } from '../../parts/ui/download';
import { LongList } from '../../parts/ui/LongList';
import { ALL_COLUMNS, LOG_COLUMNS, logTable, type LogColumn } from './logColumns';
import { Check } from '../../parts/ui/Check';

/** A day as the page writes it; anything else as it is. */
const written = (value: string | number): string | number =>
  typeof value === 'string' && /^\d{4}-\d\d-\d\d$/.test(value) ? formatDay(value) : value;

/** The log in columns of one's own choosing; saved as CSV as it is shown. */
export function Columns({
  shown,
  columns,
  onColumns,
}: {
  readonly shown: readonly TicketSummary[];
  readonly columns: readonly LogColumn[];
  readonly onColumns: (columns: readonly LogColumn[]) => void;
}) {
  const grid = {
    gridTemplateColumns: columns
      .map((column) => (column === 'number' || column === 'minutes' ? '4.5rem' : 'minmax(6rem, 1fr)'))
      .join(' '),
  };
  return (
    <div className="grid gap-3 pb-3">
      <div role="group" aria-label="Columns" className="flex flex-wrap gap-x-4">
        {ALL_COLUMNS.map((column) => (
          <Check
            key={column}
            checked={columns.includes(column)}
            onCheck={(checked) =>
              onColumns(ALL_COLUMNS.filter((one) => (one === column ? checked : columns.includes(one))))
            }
          >
            {LOG_COLUMNS[column].name}
          </Check>
        ))}
      </div>
      <Button
        className="justify-self-start"
        disabled={shown.length === 0 || columns.length === 0}
        onClick={() => download(`loose-pulley-log-${today()}.csv`, logTable(shown, columns), 'text/csv')}
      >
        Save these as CSV
      </Button>
      <div className="overflow-x-auto">
        <div className="grid gap-3 border-b border-ink text-sm text-soft" style={grid}>
          {columns.map((column) => (
            <span key={column}>{LOG_COLUMNS[column].name}</span>
          ))}
        </div>
        <LongList as="ul" items={shown} keyOf={({ id }) => id} usualPx={45} label="Tickets, in columns">
          {(one) => (
            <Link
              to={`/t/${one.id}/${one.page}`}
              className="grid min-h-11 items-center gap-3 border-b border-hair text-[15px] hover:bg-paper"
              style={grid}
            >
              {columns.map((column) => (
                <span key={column} className="truncate">
                  {written(LOG_COLUMNS[column].of(one))}
                </span>
              ))}
            </Link>
          )}
        </LongList>
      </div>
    </div>
  );
}
