import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { MAINS_HZ, strobePath, strobeRing, type StrobeRing } from '@loose-pulley/core/physics/speed';
import { Button } from '../../parts/ui/Button';
import { Caution } from '../../parts/ui/Caution';
import { download } from '../../parts/ui/download';
import { NumberLine } from '../../parts/ui/NumberLine';

const HOLE_MM = 7.5;

/** A strobe disc at 1:1, a ring for each mains frequency, with the speed at which each really stands still. */
export function StrobePage() {
  const [search] = useSearchParams();
  const [rpm, setRpm] = useState<number | null>(Number(search.get('rpm')) || 300);
  const [outerMm, setOuterMm] = useState<number | null>(58);
  const rings = MAINS_HZ.map((hz) => strobeRing(rpm ?? 0, hz));
  const good = rings.flatMap((ring) => (ring.ok ? [ring.value] : []));
  const problem = rings.find((ring) => !ring.ok);
  const outer = outerMm ?? 58;
  const room = (outer - HOLE_MM - 6) / 2;
  const placed = good.map((ring, index) => ({ ring, outerMm: outer - index * (room + 2) }));
  const side = 2 * outer + 4;
  const words = ({ mainsHz, bars, rpm: really }: StrobeRing): string =>
    `${mainsHz} Hz: ${bars} bars, still at ${really.toFixed(2)} rpm`;
  const inside = placed.map(({ ring, outerMm: edge }) => strobePath(ring, edge - room, edge));
  const file = (): void => {
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${side}mm" height="${side}mm" viewBox="${-side / 2} ${-side / 2} ${side} ${side}"><title>Strobe disc ${rpm} rpm: ${good.map(words).join('; ')}</title><circle r="${outer}" fill="none" stroke="black" stroke-width="0.2"/><circle r="${HOLE_MM}" fill="none" stroke="black" stroke-width="0.2"/>${inside.map((d) => `<path d="${d}"/>`).join('')}</svg>\n`;
    download(`strobe-${rpm}.svg`, svg, 'image/svg+xml');
  };
  return (
    <div className="grid justify-items-center gap-4 px-5 py-5">
      <div className="flex flex-wrap items-end gap-4 print:hidden">
        <NumberLine label="Speed wanted" unit="rpm" min={0.1} max={100_000} value={rpm} onNumber={setRpm} />
        <NumberLine label="Radius of the disc" unit="mm" min={20} max={90} value={outerMm} onNumber={setOuterMm} />
        <Button look="strong" disabled={good.length === 0} onClick={() => window.print()}>
          Print it
        </Button>
        <Button disabled={good.length === 0} onClick={file}>
          As SVG
        </Button>
      </div>
      {problem && !problem.ok && (
        <p role="alert" className="border-l-4 border-live pl-3">
          {problem.problem}
        </p>
      )}
      {good.length > 0 && (
        <svg
          width={`${side}mm`}
          height={`${side}mm`}
          viewBox={`${-side / 2} ${-side / 2} ${side} ${side}`}
          role="img"
          aria-label={`Strobe disc for ${rpm} rpm. ${good.map(words).join('. ')}.`}
          className="max-w-full text-ink print:max-w-none"
        >
          <circle r={outer} fill="none" stroke="currentColor" strokeWidth="0.2" />
          <circle r={HOLE_MM} fill="none" stroke="currentColor" strokeWidth="0.2" />
          {inside.map((d) => (
            <path key={d.length} d={d} fill="currentColor" />
          ))}
        </svg>
      )}
      <ul className="text-center">
        {placed.map(({ ring }, index) => (
          <li key={ring.mainsHz}>
            {index === 0 ? 'Outer ring' : 'Inner ring'}, {words(ring)}
            {rpm !== null && Math.abs(ring.rpm / rpm - 1) > 0.0005 && (
              <strong>, {(100 * (ring.rpm / rpm - 1)).toFixed(2)} % off what was asked</strong>
            )}
          </li>
        ))}
      </ul>
      <div className="print:hidden">
        <Caution>Fix the disc well: what turns can throw it. Many LED lamps do not flash, and show nothing.</Caution>
      </div>
    </div>
  );
}
