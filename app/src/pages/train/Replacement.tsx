import { useMemo, useState } from 'react';
import { draftGear, writeDxf, writeSvg } from '@loose-pulley/core/files/drawing';
import {
  centreDistanceMm,
  diameters,
  leastShift,
  meshCheck,
  spanMm,
  spanTeeth,
} from '@loose-pulley/core/physics/gears';
import { drivingTeeth, memberWords, type Member } from '@loose-pulley/core/physics/train';
import { parseNumber } from '@loose-pulley/core/base/units';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { ButtonLink } from '../../parts/ui/ButtonLink';
import { download, fileName } from '../../parts/ui/download';
import { NumberLine } from '../../parts/ui/NumberLine';

/** A gear in its place: true outline, checked by its span and by turning it with its mate. */
export function Replacement({ member }: { readonly member: Member }) {
  const { ticket } = useTicket();
  const [bore, setBore] = useState<number | null>(null);
  const [flat, setFlat] = useState<number | null>(null);
  const [thinned, setThinned] = useState<number | null>(0.05);
  const [shrink, setShrink] = useState<number | null>(0);
  const { members } = ticket.train;
  const at = members.findIndex(({ id }) => id === member.id);
  const mate = [members[at - 1], members[at + 1]].find(
    (one) => one && ['gear', 'doubleGear', 'cam', 'motor'].includes(one.kind) && one.teeth > 3,
  );
  const moduleMm = member.moduleMm;
  const gear = moduleMm === null ? undefined : { teeth: member.teeth, moduleMm, shift: member.shift ?? 0 };
  const making = { thinnedMm: thinned ?? 0, shrinkPercent: shrink ?? 0 };
  const meshed = useMemo(() => {
    if (!gear || !mate) return undefined;
    const before = members.indexOf(mate) < at;
    const pair = {
      first: gear,
      second: { teeth: before ? drivingTeeth(mate) : mate.teeth, moduleMm: gear.moduleMm, shift: mate.shift ?? 0 },
    };
    return meshCheck(pair, centreDistanceMm(pair), [{ thinnedMm: thinned ?? 0 }, {}]);
    // A gear is its figures.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [gear?.teeth, gear?.moduleMm, gear?.shift, mate, thinned]);
  if (!gear || gear.teeth < 4)
    return <p className="text-soft">Its module first: typed above, or by “What gear is it?”.</p>;
  const k = spanTeeth(gear);
  const name = `${ticket.number} ${memberWords(member)}`;
  const draft = () =>
    draftGear(gear, making, bore === null ? undefined : { diameterMm: bore, flatMm: flat ?? 0 }, name);
  const { tipMm, rootMm } = diameters(gear);
  const line = (label: string, value: number | null, put: (value: number | null) => void, unit = 'mm', max = 100) => (
    <NumberLine label={label} unit={unit} value={value} max={max} parse={parseNumber} onNumber={put} />
  );
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-3">
        {line('Bore', bore, setBore)}
        {line('Depth of its flat, 0 for round', flat, setFlat)}
        {line('Teeth thinner by', thinned, setThinned, 'mm', 2)}
        {line('Shrink', shrink, setShrink, 'per cent', 20)}
      </div>
      {bore !== null && bore > rootMm - 1 && (
        <p role="alert" className="text-live">
          Read a bore of {bore} mm: that leaves nothing under teeth whose roots lie at {rootMm.toFixed(2)} mm.
        </p>
      )}
      <p>
        Outside {tipMm.toFixed(2)} mm, root {rootMm.toFixed(2)} mm; span over {k} teeth{' '}
        {(spanMm(gear, k) - Math.cos((20 * Math.PI) / 180) * (thinned ?? 0)).toFixed(3)} mm: check the part by it.
        {gear.shift < leastShift(gear) && ' The tool undercuts it; the outline shows how deep.'}
      </p>
      {meshed && mate && (
        <p className={meshed.interferes ? 'text-live' : ''}>
          Turned with {memberWords(mate)} through a whole pitch:{' '}
          {meshed.interferes
            ? `the teeth cut into one another by ${(-meshed.leastMm).toFixed(3)} mm`
            : `no interference, least play ${Math.max(0, meshed.leastMm).toFixed(3)} mm, even to ${(1000 * meshed.unevenMm).toFixed(2)} µm`}
          .
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => download(`${fileName(name)}.svg`, writeSvg(draft()), 'image/svg+xml')}>As SVG</Button>
        <Button onClick={() => download(`${fileName(name)}.dxf`, writeDxf(draft()), 'image/vnd.dxf')}>As DXF</Button>
        <ButtonLink
          to={`/t/${ticket.id}/gear?member=${member.id}&bore=${bore ?? 0}&flat=${flat ?? 0}&thinned=${thinned ?? 0}&shrink=${shrink ?? 0}`}
        >
          Print at 1 to 1
        </ButtonLink>
      </div>
      <p className="text-sm text-soft">
        At 1 to 1, with a bar to check the print by. The fillet is the one that the tool would cut. What no outline
        promises: strength, the fit on its shaft, how it wears.
      </p>
    </div>
  );
}
