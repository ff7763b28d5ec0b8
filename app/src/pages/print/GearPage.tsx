import { Link, useSearchParams } from 'react-router';
import { draftGear } from '@loose-pulley/core/files/drawing';
import { memberWords } from '@loose-pulley/core/physics/train';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { PrintScale } from './PrintScale';
import { TrueSize } from './TrueSize';

/** A replacement gear at 1:1, to print and lay the old one on. What it is made with stands in the address. */
export function GearPage() {
  const { ticket } = useTicket();
  const [search] = useSearchParams();
  const member = ticket.train.members.find(({ id }) => id === search.get('member'));
  const figure = (key: string): number => {
    const value = Number(search.get(key) ?? 0);
    return Number.isFinite(value) && value >= 0 && value < 100 ? value : 0;
  };
  if (!member || member.moduleMm === null || member.teeth < 4)
    return (
      <p className="p-5">
        That gear’s teeth and module are not known yet.{' '}
        <Link className="underline" to={`/t/${ticket.id}/train`}>
          The train
        </Link>
      </p>
    );
  const drafting = draftGear(
    { teeth: member.teeth, moduleMm: member.moduleMm, shift: member.shift ?? 0 },
    { thinnedMm: figure('thinned'), shrinkPercent: figure('shrink') },
    figure('bore') > 0 ? { diameterMm: figure('bore'), flatMm: figure('flat') } : undefined,
    `${ticket.number} ${memberWords(member)}`,
  );
  return (
    <div className="grid grid-cols-1 gap-5 px-5 py-5">
      <h2 className="sr-only">{drafting.name}, at 1 to 1</h2>
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <Button look="strong" onClick={() => window.print()}>
          Print at 1 to 1
        </Button>
        <Link className="underline" to={`/t/${ticket.id}/train`}>
          Back to the train
        </Link>
      </div>
      <PrintScale />
      <TrueSize drafting={drafting} />
    </div>
  );
}
