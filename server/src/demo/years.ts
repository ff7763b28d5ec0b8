import { USUAL_LOADER } from '@loose-pulley/core/base/loaders';
import { shapeOf } from '@loose-pulley/core/base/shapes';
import { seeded } from '@loose-pulley/core/base/statistics';
import type { EventBody } from '@loose-pulley/core/record/ticket';
import type { Details, Try } from '@loose-pulley/core/record/stations';
import { doneStations, readings, type DemoTicket } from './build';
import { answered, cleaned, fitted, mechanism, notNeeded, ring070, square12, timersSeen } from './bodies';

/*
 * The years before: what the archive's technician handed back from the winter of 2023 on, told by a seeded script. Machines
 * come again as such machines do: cleaned belts soonest, bands first of all, new ones late or never.
 */

interface Machine {
  readonly name: string;
  readonly loader: Details['loader'];
  readonly serial: string;
  readonly owner: string;
  readonly mechanism: string;
  readonly role: string;
  /** What has been right here, and the wrong size that was tried first now and then. */
  readonly right: Pick<Try, 'shape' | 'thicknessMm' | 'innerLengthMm' | 'source'>;
  readonly wrong: Pick<Try, 'shape' | 'thicknessMm' | 'innerLengthMm' | 'source'>;
  readonly oldMm: number;
}

const booth = (serial: string, room: string): Machine => ({
  name: 'Pennerley T9 booth deck',
  loader: 'tray',
  serial,
  owner: room,
  mechanism: 'T9 loader',
  role: 'loading',
  right: square12(116),
  wrong: square12(120),
  oldMm: 126,
});
const MACHINES: readonly Machine[] = [
  booth('T9-0377', 'Listening booth 6'),
  booth('T9-0381', 'Listening booth 1'),
  booth('T9-0390', 'Listening booth 4'),
  booth('T9-0399', 'Listening booth 7'),
  booth('T9-0405', 'Listening booth 8'),
  {
    name: 'Oberquist C5 carousel',
    loader: 'carousel',
    serial: 'C5-118',
    owner: 'Reading room',
    mechanism: 'C5 table',
    role: 'table',
    right: ring070('-031', 1.739),
    wrong: square12(140),
    oldMm: 150,
  },
  {
    name: 'Oberquist C5 carousel',
    loader: 'carousel',
    serial: 'C5-121',
    owner: 'Lending desk',
    mechanism: 'C5 table',
    role: 'table',
    right: ring070('-031', 1.739),
    wrong: ring070('-030', 1.614),
    oldMm: 149,
  },
  {
    name: 'Orrismere L12 lift player',
    loader: 'lift',
    serial: 'L12-09',
    owner: 'Digitising room',
    mechanism: 'L12 clamp',
    role: 'clamp',
    right: { shape: 'square', thicknessMm: 1.5, innerLengthMm: 180, source: 'square assortment' },
    wrong: { shape: 'square', thicknessMm: 1.5, innerLengthMm: 184, source: 'square assortment' },
    oldMm: 191,
  },
];

const COMPLAINTS = [
  'opens only when helped',
  'whirrs, stays shut',
  'slow on cold mornings',
  'closes, then opens again',
  'dead drawer',
];
type Remedy = 'new' | 'cleaned' | 'warmed' | 'band';

/** About how many days each lasts with these machines, and how often it lasts for good. */
const LASTS: Readonly<Record<Remedy, readonly [days: number, forGood: number]>> = {
  new: [800, 0.7],
  cleaned: [230, 0.25],
  warmed: [140, 0.1],
  band: [70, 0],
};
const FIRST_NUMBER = 62;
/** They were all handed back before the tickets that are told one by one. */
const UNTIL = Date.parse('2025-11-20T09:00:00Z');
const DAY_MS = 86_400_000;

const source: Readonly<Record<Remedy, string>> = {
  new: '',
  cleaned: 'the old belt, cleaned',
  warmed: 'warm to shrink',
  band: 'office band, as a stopgap',
};

function bodiesOf(
  number: string,
  machine: Machine,
  remedy: Remedy,
  complaint: string,
  draw: () => number,
): DemoTicket['bodies'] {
  const { right, wrong, oldMm } = machine;
  const first = remedy === 'new' && draw() < 0.35;
  const kept = {
    ...right,
    shape: 'square' as const,
    thicknessMm: shapeOf(right.shape).soldBy === 'length' ? right.thicknessMm : 1.2,
  };
  const fit: EventBody[] =
    remedy === 'new'
      ? [
          ...(first
            ? fitted(
                number,
                'A',
                wrong,
                wrong.innerLengthMm > right.innerLengthMm ? 'tooLoose' : 'tooTight',
                'not this one',
              )
            : []),
          ...fitted(number, 'A', right, 'right', 'every time'),
        ]
      : remedy === 'band'
        ? fitted(
            number,
            'A',
            { shape: 'flat', thicknessMm: 1, widthMm: 4, innerLengthMm: 100, source: source.band },
            'right',
            'to see it move',
          )
        : fitted(
            number,
            'A',
            { ...kept, innerLengthMm: remedy === 'warmed' ? oldMm - 6 : oldMm - 3, source: source[remedy] },
            'right',
            'runs again',
          );
  return [
    mechanism(number, 'A', machine.role, machine.mechanism),
    ...doneStations('takeIn'),
    ...(draw() < 0.7
      ? ([
          {
            type: 'verdictGiven',
            verdict: {
              causeId: remedy === 'cleaned' ? 'beltDirty' : 'beltSlack',
              state: 'cured',
              words: remedy === 'cleaned' ? 'Belt contaminated' : 'Belt slack or worn',
              at: '2025-01-10T10:00:00Z',
            },
          },
        ] as const)
      : []),
    ...doneStations('find', 'strip'),
    ...(remedy === 'cleaned' && machine.loader === USUAL_LOADER
      ? [...cleaned(number, ['drive pulley isopropyl alcohol clean'], { 'drive pulley': 'acetal' }), timersSeen]
      : [notNeeded('clean')]),
    ...readings(number, 'A', [
      ['section', 'sectionJaws', kept.thicknessMm],
      ['oldBelt', 'doubledOuter', Math.round(10 * (oldMm / 2 + 2 * kept.thicknessMm + draw() * 0.6)) / 10],
    ]),
    ...doneStations('measure'),
    ...fit,
    ...doneStations('size', 'rebuild', 'prove'),
    {
      type: 'handBackWritten',
      changes: {
        found: remedy === 'cleaned' ? 'Belt and pulleys greasy.' : 'Loading belt slack.',
        done:
          remedy === 'new'
            ? 'Belt renewed.'
            : remedy === 'cleaned'
              ? 'Belt and pulleys washed.'
              : remedy === 'warmed'
                ? 'Belt warmed and measured again.'
                : 'A band is in.',
        minutes: 20 + Math.round(draw() * 50),
        ...(remedy === 'band' || remedy === 'warmed'
          ? {
              provisional: remedy === 'band' ? 'A band; it will not last.' : 'Drive A: warm to shrink.',
            }
          : {}),
      },
    },
    ...doneStations('handBack'),
    ...answered(number, complaint, 'cured', 'Runs.'),
    { type: 'ticketClosed', despite: '' },
  ];
}

/** The tickets of those years, oldest first. */
export function yearsBefore(): readonly DemoTicket[] {
  const draw = seeded(2314);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)] as T;
  const planned = MACHINES.map((machine, n) => ({
    machine,
    at: Date.parse('2023-11-28T09:00:00Z') + n * 34 * DAY_MS + Math.floor(draw() * 40) * DAY_MS,
  }));
  const told: Array<{ readonly at: number; readonly machine: Machine; readonly remedy: Remedy }> = [];
  while (planned.length > 0) {
    planned.sort((a, b) => b.at - a.at);
    const next = planned.pop();
    if (!next || next.at > UNTIL) continue;
    // A machine that came back is not cleaned again and again.
    const before = told.filter(({ machine }) => machine === next.machine).at(-1)?.remedy;
    const remedy: Remedy =
      before === 'band'
        ? 'new'
        : before === 'cleaned'
          ? pick(['new', 'warmed', 'cleaned'])
          : pick(['new', 'cleaned', 'cleaned', 'warmed', 'band']);
    told.push({ ...next, remedy });
    const [days, forGood] = LASTS[remedy];
    const stays = draw() < forGood;
    // One that stays may come with something else, much later.
    planned.push({
      machine: next.machine,
      at: next.at + Math.round((stays ? 480 : days) * (0.4 + 1.2 * draw())) * DAY_MS,
    });
  }
  return told.map(({ at, machine, remedy }, index): DemoTicket => {
    const number = String(FIRST_NUMBER + index).padStart(4, '0');
    const complaint = pick(COMPLAINTS);
    const { name, loader, serial, owner } = machine;
    return {
      openedAt: new Date(at + Math.floor(draw() * 6) * 3_600_000).toISOString(),
      paceMinutes: 3 + Math.floor(draw() * 4),
      details: { number, machine: name, loader, serial, owner, complaint },
      bodies: bodiesOf(number, machine, remedy, complaint, draw),
    };
  });
}
