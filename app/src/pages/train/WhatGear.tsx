import { useState } from 'react';
import { identify, meshing, centreDistanceMm, spanTeeth, type Gear } from '@loose-pulley/core/physics/gears';
import type { Member } from '@loose-pulley/core/physics/train';
import { parseNumber } from '@loose-pulley/core/base/units';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';

/** What jaws on a small moulded gear are uncertain by, k = 1. */
const TIP_STD_MM = 0.05;
const SPAN_STD_MM = 0.03;
const CENTRE_STD_MM = 0.1;

/** Module and shift of an unknown gear, from its teeth, its outside, a span, its mate. */
export function WhatGear({ member, onFound }: { readonly member: Member; readonly onFound: (gear: Gear) => void }) {
  const { canWrite } = useTicket();
  const [tip, setTip] = useState<number | null>(null);
  const [span, setSpan] = useState<number | null>(null);
  const [over, setOver] = useState<number | null>(null);
  const [centre, setCentre] = useState<number | null>(null);
  const [mateTeeth, setMateTeeth] = useState<number | null>(null);
  const [mateTip, setMateTip] = useState<number | null>(null);
  if (member.teeth < 4) return <p className="text-soft">Count its teeth first.</p>;
  const k = over ?? spanTeeth({ teeth: member.teeth, moduleMm: 1, shift: 0 });
  const any = tip !== null || span !== null || (centre !== null && mateTeeth !== null);
  const found = any
    ? identify({
        teeth: member.teeth,
        ...(tip !== null && { tipMm: { value: tip, std: TIP_STD_MM } }),
        ...(span !== null && { spanMm: { value: span, std: SPAN_STD_MM }, spanTeeth: k }),
        ...(centre !== null && { centreMm: { value: centre, std: CENTRE_STD_MM } }),
        ...(mateTeeth !== null && { mateTeeth }),
        ...(mateTip !== null && { mateTipMm: { value: mateTip, std: TIP_STD_MM } }),
      })
    : undefined;
  const line = (label: string, value: number | null, put: (value: number | null) => void, unit = 'mm', max = 400) => (
    <NumberLine label={label} unit={unit} value={value} max={max} parse={parseNumber} onNumber={put} />
  );
  return (
    <div className="grid gap-2">
      {line('Outside diameter', tip, setTip)}
      <div className="flex flex-wrap gap-3">
        {line('Span', span, setSpan)}
        {line('over so many teeth', k, setOver, 'count', 40)}
      </div>
      {line('Distance to its mate', centre, setCentre)}
      <div className="flex flex-wrap gap-3">
        {line('Teeth of its mate', mateTeeth, setMateTeeth, 'count')}
        {line('Outside of its mate', mateTip, setMateTip)}
      </div>
      {found?.candidates.length === 0 && (
        <p role="alert" className="text-live">
          No module and no diametral pitch fits these readings. Count the teeth again, and read over the tips of two
          that face one another.
        </p>
      )}
      <ol>
        {found?.candidates.slice(0, 5).map(({ size, gear, shiftStd, probability, mate }) => {
          const mesh =
            mate && meshing({ first: gear, second: mate }, centre ?? centreDistanceMm({ first: gear, second: mate }));
          return (
            <li key={size.name} className="flex flex-wrap items-center justify-between gap-2 border-b border-hair py-1">
              <span>
                <strong className="inline-block first-letter:uppercase">{size.name}</strong>,{' '}
                {Math.round(100 * probability)} in 100
                <span className="block text-sm text-soft">
                  shift {gear.shift.toFixed(2)} ± {(2 * shiftStd).toFixed(2)}
                  {mesh &&
                    `; with its mate: contact ratio ${mesh.contactRatio.toFixed(2)}${mesh.contactRatio < 1.1 ? ', doubtful' : ''}, play ${mesh.backlashMm.toFixed(2)} mm`}
                  {mesh && mesh.undercut.length > 0 && ', undercut'}
                </span>
              </span>
              <Button disabled={!canWrite} onClick={() => onFound(gear)}>
                It is this
              </Button>
            </li>
          );
        })}
      </ol>
      {found?.parting && <p className="text-[15px]">What would tell them apart: {found.parting.words}.</p>}
    </div>
  );
}
