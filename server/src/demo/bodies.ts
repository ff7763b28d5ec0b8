import type { EventBody } from '@loose-pulley/core/record/ticket';
import { newChange, newStep, type TemporaryChange } from '@loose-pulley/core/work/strip';
import { readLine } from '@loose-pulley/core/work/stripLine';
import { cleanView, cleanEventsOf } from '@loose-pulley/core/views/clean';
import { COMPATIBILITY, type Material } from '@loose-pulley/core/work/compatibility';
import { pullRound } from '@loose-pulley/core/work/cleaning';
import { readTreatment } from '@loose-pulley/core/work/treatmentLine';
import { driveId, type Said } from './build';
import type { ComplaintState, Try } from '@loose-pulley/core/record/stations';

/* What happens to the demo's tickets, in the few shapes in which it happens. */

export const mechanism = (number: string, letter: string, role: string, name: string): EventBody => ({
  type: 'driveChanged',
  driveId: driveId(number, letter),
  changes: { role, mechanism: name },
});
export const note = (station: 'find' | 'strip' | 'clean' | 'rebuild' | 'prove', text: string): EventBody => ({
  type: 'noteWritten',
  station,
  text,
});
export const notNeeded = (station: 'find' | 'strip' | 'clean' | 'rebuild' | 'prove'): EventBody => ({
  type: 'stationMarked',
  station,
  mark: 'notNeeded',
});
export const fitted = (
  number: string,
  letter: string,
  size: Pick<Try, 'shape' | 'thicknessMm' | 'innerLengthMm' | 'source'> &
    Partial<Pick<Try, 'widthMm' | 'label' | 'because'>>,
  verdict: Try['verdict'],
  remark: string,
): EventBody[] => {
  const id = `demo-${number}-${letter}-try-${size.innerLengthMm}`;
  return [
    {
      type: 'tryLogged',
      driveId: driveId(number, letter),
      try: {
        id,
        widthMm: null,
        measuredMm: null,
        label: '',
        because: 'unknown',
        ...size,
        verdict: 'untried',
        note: '',
      },
    },
    ...(verdict === 'untried'
      ? []
      : [{ type: 'tryJudged', driveId: driveId(number, letter), tryId: id, verdict, note: remark } as const]),
  ];
};
/** Cycles counted one after another: `g` good, `b` bad, `s` slow, `h` helped; open and close in turn. */
export const cycles = (
  number: string,
  run: string,
  verdicts: string,
  loaded: boolean,
  conditions: readonly string[],
  cleanRunId: string | null = null,
): EventBody[] =>
  [...verdicts].map((verdict, index) => ({
    type: 'cycleLogged',
    cycle: {
      id: `demo-${number}-${run}-${index}`,
      at: new Date(Date.parse('2026-11-18T09:00:00Z') + index * 20_000).toISOString(),
      action: index % 2 === 0 ? 'open' : 'close',
      result: verdict === 'b' ? 'bad' : verdict === 's' ? 'slow' : verdict === 'h' ? 'helped' : 'good',
      // Believable times: a tray takes about a second and a half, a slow one twice that, a failed one is given up on.
      seconds: Math.round((verdict === 'b' ? 4.6 : verdict === 's' ? 3.1 : 1.5 + ((index * 7) % 5) * 0.08) * 100) / 100,
      loaded,
      disc: loaded ? 'junk' : 'none',
      place: '',
      conditions,
      cleanRunId,
    },
  }));
/** One timed test. */
export const timed = (
  number: string,
  what: string,
  side: 'before' | 'after',
  seconds: number,
  retries: number,
): EventBody[] => [
  {
    type: 'timingPut',
    timing: {
      id: `demo-${number}-${side}-${what}`.replaceAll(' ', '-'),
      at: '2026-11-18T09:00:00Z',
      what,
      side,
      seconds,
      retries,
    },
  },
];
/** The first complaint of a ticket, answered. */
export const answered = (number: string, words: string, state: ComplaintState, after: string): EventBody[] => [
  {
    type: 'complaintPut',
    complaint: { id: `demo-${number}-k1`, words, state, drivetrain: true, sounds: ['runsFree'], before: '', after },
  },
];
export const square12 = (innerLengthMm: number) =>
  ({ shape: 'square', thicknessMm: 1.2, innerLengthMm, source: 'square assortment' }) as const;
export const ring070 = (dash: string, innerDiameterIn: number) =>
  ({
    shape: 'round',
    thicknessMm: 1.778,
    innerLengthMm: Math.PI * innerDiameterIn * 25.4,
    source: `AS568 ${dash}`,
  }) as const;

/** Answers to the adviser's tests, one after another. */
export const observed = (
  number: string,
  ...answers: ReadonlyArray<readonly [testId: string, outcome: string]>
): EventBody[] =>
  answers.map(([testId, outcome], index) => ({
    type: 'observed',
    observation: {
      id: `demo-${number}-b${index}`,
      at: new Date(Date.parse('2026-11-18T09:40:00Z') + index * 120_000).toISOString(),
      testId,
      outcome,
      driveId: null,
    },
  }));

/** A strip in typed lines, read and numbered as the page does it. */
export function stripped(number: string, ...lines: readonly string[]): EventBody[] {
  let lastNumber = 0;
  let pads: TemporaryChange | undefined;
  const at = '2026-11-18T10:00:00.000Z';
  return lines.flatMap((line, index): EventBody[] => {
    const [way, other] = readLine(line)?.ways ?? [];
    if (!way || other) throw new Error(`Demo ticket ${number}: “${line}” is in doubt.`);
    return way.does.flatMap((deed, place): EventBody[] => {
      if (deed.type === 'step') {
        const step = newStep({ lastNumber, opening: 1 }, deed.step, `demo-${number}-st${index}-${place}`, at);
        lastNumber = step.number;
        const bridged = step.kind === 'connector' && pads;
        if (bridged) pads = undefined;
        return [
          { type: 'stepPut', step },
          ...(bridged ? [{ type: 'temporaryChangePut', change: { ...bridged, afterStepId: step.id } } as const] : []),
        ];
      }
      if (deed.type !== 'change') throw new Error(`Demo ticket ${number}: “${line}” is neither a step nor a change.`);
      const change = newChange(deed.kind, deed.words, { steps: [] }, `demo-${number}-lo${index}`, at);
      if (deed.kind === 'laserBridged') pads = change;
      return [{ type: 'temporaryChangePut', change }];
    });
  });
}

let said = 0;
/** Lines of Clean, read and done as the page does it. What they are of, where that is asked, by the name of the place. */
export const cleaned = (
  number: string,
  lines: readonly string[],
  of: Readonly<Record<string, Material>> = {},
): readonly Said[] =>
  lines.map((line): Said => ({ ticket }, at) => {
    const { places } = cleanView(ticket);
    const [way, other] = readTreatment(line, { map: places, chosenId: null })?.ways ?? [];
    if (!way || other) throw new Error(`Demo ticket ${number}: “${line}” is in doubt.`);
    const materials = Object.fromEntries(
      places.flatMap(({ place }) => (of[place.name] ? [[place.id, of[place.name] ?? 'unknown']] : [])),
    );
    const done = cleanEventsOf(ticket, way.does, {
      table: COMPATIBILITY,
      newId: () => `demo-${number}-c${++said}`,
      at,
      line,
      materials,
    });
    if (done.kind !== 'bodies') throw new Error(`Demo ticket ${number}: “${line}” is not done.`);
    return done.bodies;
  });

/** A pull by the scale, of the state that the machine is in then. */
export const pulled =
  (number: string, letter: string, amount: number): Said =>
  ({ ticket }, at) => [
    {
      type: 'readingTaken',
      driveId: driveId(number, letter),
      reading: {
        id: `demo-${number}-pull-${Date.parse(at)}`,
        measurand: 'trayPull',
        method: 'scalePull',
        typed: String(amount),
        amount,
        aux: {},
        ownStd: null,
        ...(pullRound(ticket.cleaning) > 0 && { round: pullRound(ticket.cleaning) }),
      },
    },
  ];

/** Every timer that runs is seen to. */
export const timersSeen: Said = ({ ticket }, at) =>
  ticket.timers
    .filter(({ endedAt }) => endedAt === null)
    .map((timer) => ({ type: 'timerPut', timer: { ...timer, endedAt: at } }));
