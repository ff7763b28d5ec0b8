import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { CATALOGUE } from '@loose-pulley/core/catalogue';
import { draftBelt, draftDrive, writeDxf, writeSvg } from '@loose-pulley/core/drafting';
import { rank } from '@loose-pulley/core/sizing';
import { beltLabel } from '@loose-pulley/core/units';
import { useUnit } from '../store/store';
import { useDrive, useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { download, fileName } from '../ui/download';
import { useTitle } from '../ui/title';
import { PrintScale } from './PrintScale';
import { TrueSize } from './TrueSize';

/** The belt or the whole drive at 1:1: to print and lay the thing on it, or as a file for a drawing program. */
export function TemplatePage() {
  useTitle('At 1 to 1');
  const { ticket } = useTicket();
  const { drive, facts, situation } = useDrive();
  const unit = useUnit();
  const [search] = useSearchParams();
  const [shown, setShown] = useState<'belt' | 'drive'>('belt');
  const asked = CATALOGUE.find(({ id }) => id === search.get('belt'));
  const belt = asked ?? (situation.ok ? rank(situation.value, CATALOGUE).best?.catalogueBelt : undefined);
  const name = `${ticket.number} drive ${drive.name}${belt ? `, ${beltLabel(belt, unit).size}` : ''}`;
  const whole = facts.drive ? draftDrive(facts.drive, belt, name) : undefined;
  const drafting = shown === 'belt' ? belt && draftBelt(belt, name) : whole?.ok ? whole.value : undefined;
  const file = fileName(`${name} ${shown}`);
  return (
    <div className="grid grid-cols-1 gap-5 px-5 py-5">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <Choice
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
