import { diameters, gearOutline, spanMm, spanTeeth, type Gear, type Making } from '../../physics/gears';
import { draftBar } from './draw';
import type { Drafting, Figure } from './types';

/** What a replacement sits on. */
export interface Bore {
  readonly diameterMm: number;
  /** Depth of a flat from the bore's edge, as of a D; 0 for a round one. */
  readonly flatMm: number;
}

/** A bore as a closed line, flat where it has one. */
function boreFigure({ diameterMm, flatMm }: Bore, scale: number): Figure {
  const r = (scale * diameterMm) / 2;
  if (flatMm <= 0) return { type: 'circle', x: 0, y: 0, r };
  const across = r - scale * flatMm;
  const from = Math.acos(Math.min(1, Math.max(-1, across / r)));
  const points = Array.from({ length: 49 }, (_, i): readonly [number, number] => {
    const angle = Math.PI / 2 + from + ((2 * Math.PI - 2 * from) * i) / 48;
    return [r * Math.cos(angle), r * Math.sin(angle)];
  });
  return { type: 'polygon', points };
}

/**
 * A replacement gear at 1:1, with a bar to measure the print by and the span to measure the part by. What it is made of,
 * whether it is strong enough, and what its hub is like, no outline tells.
 *
 * @example draftGear({ teeth: 20, moduleMm: 0.5, shift: 0 }, {}, { diameterMm: 2, flatMm: 0 }, '0151 gear').figures.length // 8
 */
export function draftGear(gear: Gear, making: Making, bore: Bore | undefined, name: string): Drafting {
  const scale = 1 + (making.shrinkPercent ?? 0) / 100;
  const r = (scale * diameters(gear).tipMm) / 2;
  const k = spanTeeth(gear);
  return {
    name,
    figures: [
      { type: 'polygon', points: gearOutline(gear, making) },
      ...(bore ? [boreFigure(bore, scale)] : []),
      ...draftBar(-r, -r - 10, 50),
      { type: 'text', x: -r, y: -r - 18, heightMm: 3, text: name },
      {
        type: 'text',
        x: -r,
        y: -r - 23,
        heightMm: 3,
        text: `${gear.teeth} teeth, module ${Number(gear.moduleMm.toFixed(4))}, shift ${gear.shift.toFixed(2)}, span over ${k}: ${spanMm(gear, k).toFixed(3)} mm before thinning and shrink`,
      },
    ],
  };
}
