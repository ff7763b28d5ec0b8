import {
  againstCounted,
  driversOf,
  trainFigures,
  type BeltRatios,
  type TrainFigures,
  type TrainProblem,
} from '../../physics/train';
import { driveFactsOf, type Ticket } from '../../record/ticket';

/** What the train of a ticket says. */
export interface TrainView {
  readonly belts: BeltRatios;
  readonly figures: TrainFigures | undefined;
  readonly problem: TrainProblem | undefined;
  /** Against ten turns counted at Measure, where both are known. */
  readonly counted: ReturnType<typeof againstCounted>;
  readonly countedMm: { readonly value: number; readonly std: number } | undefined;
}

/** Until its section is measured a belt is taken for one of this thickness. */
const USUAL_SECTION_MM = 1.2;

/** How far a driven pulley turns for one turn of its motor pulley: (D + t)/(D′ + t), by the belt's centre line. */
export function beltRatios({ drives }: Pick<Ticket, 'drives'>): BeltRatios {
  return Object.fromEntries(
    drives.flatMap((drive) => {
      const { motorDiameter, drivenDiameter, section } = driveFactsOf(drive);
      if (!motorDiameter || !drivenDiameter) return [];
      const t = section?.value ?? USUAL_SECTION_MM;
      return [[drive.id, { ratio: (motorDiameter.value + t) / (drivenDiameter.value + t), crossed: drive.crossed }]];
    }),
  );
}

/** Teeth are whole: what is uncertain of a travel by counting is the module and the belt’s creep. No source. */
const TRAVEL_STD_SHARE = 0.015;

/**
 * The travel in one turn of a drive's motor pulley by the train that it is a member of, with its standard uncertainty.
 *
 * @returns undefined where the drive is no member, or the train does not end in something of known size
 */
export function trainTravel(
  { train, drives }: Pick<Ticket, 'train' | 'drives'>,
  driveId: string,
): { readonly value: number; readonly std: number } | undefined {
  const drive = train.members.find((one) => one.kind === 'beltDrive' && one.driveId === driveId);
  if (!drive) return undefined;
  const figures = trainFigures(train, beltRatios({ drives }));
  const ofMotorMm = figures.ok ? figures.value.travelPerTurnMm : undefined;
  if (!figures.ok || ofMotorMm === undefined) return undefined;
  // Behind other members its own small pulley turns otherwise than the motor.
  const [driver] = driversOf(train.members, drive);
  const turns = figures.value.turns.find(({ member }) => member.id === driver?.id)?.turns ?? 1;
  const value = ofMotorMm / Math.abs(turns);
  return { value, std: TRAVEL_STD_SHARE * value };
}

const views = new WeakMap<Ticket, TrainView>();

/**
 * The train of a ticket with its belts: figures, or why it cannot turn, and how it agrees with the bench's count. The same
 * ticket gives the same view.
 */
export function trainView(ticket: Ticket): TrainView {
  const known = views.get(ticket);
  if (known) return known;
  const belts = beltRatios(ticket);
  const result = ticket.train.members.length === 0 ? undefined : trainFigures(ticket.train, belts);
  const first = ticket.drives[0];
  const countedMm = first && driveFactsOf(first).trayTravel;
  const view: TrainView = {
    belts,
    figures: result?.ok ? result.value : undefined,
    problem: result && !result.ok ? result.problem : undefined,
    counted: countedMm && result?.ok ? againstCounted(ticket.train, belts, countedMm) : undefined,
    countedMm,
  };
  views.set(ticket, view);
  return view;
}
