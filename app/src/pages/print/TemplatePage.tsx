import { useState } from 'react';
import { Link } from 'react-router';
import { draftBelt, draftDrive, writeDxf, writeSvg } from '@loose-pulley/core/files/drawing';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { useUnit } from '../../state/store/hooks';
import { usePaperBelt } from '../../parts/ticket/usePaperBelt';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { download, fileName } from '../../parts/ui/download';
import { PrintScale } from './PrintScale';
import { TrueSize } from './TrueSize';

/** The belt or the whole drive at 1:1: to print and lay the thing on it, or as a file for a drawing program. */
export function TemplatePage() {
  const { ticket } = useTicket();
  const view = useDriveView();
  const { drive, facts } = view;
  const unit = useUnit();
  const [shown, setShown] = useState<'belt' | 'drive'>('belt');
  const { picked, ready } = usePaperBelt(view);
  const belt = picked?.catalogueBelt;
  const name = `${ticket.number} drive ${drive.name}${belt ? `, ${beltLabel(belt, unit).size}` : ''}`;
  const whole = facts.drive ? draftDrive(facts.drive, belt, name) : undefined;
  const drafting = shown === 'belt' ? belt && draftBelt(belt, name) : whole?.ok ? whole.value : undefined;
  const file = fileName(`${name} ${shown}`);
  // Nothing is drawn that a finer calculation may yet change.
  if (!ready) return <p className="p-5">One moment.</p>;
  return (
    <div className="grid grid-cols-1 gap-5 px-5 py-5">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <Segments
          label="What is drawn"
          value={shown}
          options={[
            ['belt', 'the belt'],
            ['drive', 'the drive'],
          ]}
          onChoose={setShown}
        />
        <Button look="strong" disabled={!drafting} onClick={() => window.print()}>
          Print at 1 to 1
        </Button>
        <Button
          disabled={!drafting}
          onClick={() => drafting && download(`${file}.svg`, writeSvg(drafting), 'image/svg+xml')}
        >
          As SVG
        </Button>
        <Button
          disabled={!drafting}
          onClick={() => drafting && download(`${file}.dxf`, writeDxf(drafting), 'image/vnd.dxf')}
        >
          As DXF
        </Button>
      </div>
      <PrintScale />
      {drafting ? (
        <TrueSize drafting={drafting} />
      ) : (
        <p>
          {whole && !whole.ok ? whole.problem : 'Not enough is measured to draw that.'}{' '}
          <Link className="underline" to={`/t/${ticket.id}/measure?drive=${drive.name}`}>
            Measure
          </Link>
        </p>
      )}
    </div>
  );
}
