import type { Day, Step } from '../../core/src/shop/schedule';
import { GRID_MIN } from './random';

/*
 * The same day as a mixed-integer programme, indexed by time: a variable for each step and each slot at which it may begin.
 * Weighted lateness is linear in them, since where the last step of a ticket begins says when the ticket is done.
 */

interface Begin {
  readonly name: string;
  readonly slot: number;
}
const slots = (minutes: number): number => minutes / GRID_MIN;

/** The programme in the LP format that general solvers read. */
export function programme(day: Day): string {
  const steps: ReadonlyArray<{ readonly step: Step; readonly job: number; readonly last: boolean }> = day.jobs.flatMap(
    (job, n) => job.steps.map((step, k) => ({ step, job: n, last: k === job.steps.length - 1 })),
  );
  const begins = steps.map(({ step }, index): readonly Begin[] => {
    const found: Begin[] = [];
    for (const { from, to } of day.shifts)
      for (let at = from; at + step.minutes <= to; at += GRID_MIN)
        if (at >= step.notBefore) found.push({ name: `x${index}_${slots(at)}`, slot: slots(at) });
    return found;
  });
  const sum = (names: readonly string[]): string => names.join(' + ');
  const rows: string[] = [];
  const cost: string[] = [];
  steps.forEach(({ step, job, last }, index) => {
    const own = begins[index] as readonly Begin[];
    rows.push(`${sum(own.map(({ name }) => name))} = 1`);
    const { dueAt, weight } = day.jobs[job] as Day['jobs'][number];
    if (last && dueAt !== null)
      for (const { name, slot } of own) {
        const late = slot * GRID_MIN + step.minutes + step.waitAfter - dueAt;
        if (late > 0) cost.push(`${weight * late} ${name}`);
      }
    const next = steps[index + 1];
    if (next?.job !== job) return;
    // The next step has begun by a slot only where this one has ended with its wait by then.
    const after = slots(step.minutes + step.waitAfter);
    const begun = begins[index + 1] as readonly Begin[];
    for (const { slot } of begun) {
      const later = begun.filter((one) => one.slot <= slot).map(({ name }) => name);
      const before = own.filter((one) => one.slot + after <= slot).map(({ name }) => name);
      rows.push(`${sum(later)}${before.map((name) => ` - ${name}`).join('')} <= 0`);
    }
  });
  const horizon = slots(day.shifts.at(-1)?.to ?? 0) + 40;
  const covering = (slot: number, spans: (step: Step) => readonly [number, number]): string[] =>
    steps.flatMap(({ step }, index) => {
      const [from, to] = spans(step);
      return (begins[index] as readonly Begin[])
        .filter((one) => one.slot + from <= slot && slot < one.slot + to)
        .map(({ name }) => name);
    });
  for (let slot = 0; slot < horizon; slot += 1) {
    const working = covering(slot, ({ minutes }) => [0, slots(minutes)]);
    if (working.length > 1) rows.push(`${sum(working)} <= 1`);
    const drying = covering(slot, ({ minutes, waitAfter, waitsAt }) =>
      waitsAt === 'drying' ? [slots(minutes), slots(minutes + waitAfter)] : [0, 0],
    );
    if (drying.length > day.dryingPlaces) rows.push(`${sum(drying)} <= ${day.dryingPlaces}`);
    const onBench = covering(slot, ({ minutes, waitAfter, waitsAt }) => [
      0,
      slots(waitsAt === 'bench' ? minutes + waitAfter : minutes),
    ]);
    if (onBench.length > day.benches) rows.push(`${sum(onBench)} <= ${day.benches}`);
  }
  const names = begins.flat().map(({ name }) => name);
  return [
    'Minimize',
    ` obj: ${cost.length > 0 ? cost.join(' + ') : `0 ${names[0]}`}`,
    'Subject To',
    ...rows.map((row, n) => ` c${n}: ${row}`),
    'Binary',
    ` ${names.join(' ')}`,
    'End',
  ].join('\n');
}
