import { writeTable } from '../../base/table';
import type { CycleTrace } from '../../physics/cycle';

/** A trace as a table, a line a sample, with its units in the head. For instance toCsv(trace).split('\n')[0]: time s,position mm,… */
export function toCsv(
  { timeS, position, motorRpm, current, pulleyRpm, pullN, slidMm }: CycleTrace,
  turned: boolean,
): string {
  const belts = pullN.map((_, k) => k);
  const head = [
    'time s',
    turned ? 'turns' : 'position mm',
    'motor rpm',
    'current, share of standing',
    ...belts.flatMap((k) => [`pulley ${k + 1} rpm`, `belt ${k + 1} pull N`, `belt ${k + 1} slid mm`]),
  ];
  const rows = Array.from(timeS, (t, i) => [
    t.toFixed(4),
    (position[i] ?? 0).toFixed(3),
    (motorRpm[i] ?? 0).toFixed(1),
    (current[i] ?? 0).toFixed(4),
    ...belts.flatMap((k) => [
      (pulleyRpm[k]?.[i] ?? 0).toFixed(2),
      (pullN[k]?.[i] ?? 0).toFixed(4),
      (slidMm[k]?.[i] ?? 0).toFixed(3),
    ]),
  ]);
  return writeTable(head, rows);
}
