import { isTurned } from '../../base/loaders';
import type { Sister, Situation } from '../sizing';
import { forShapes, type SectionShape } from '../../base/shapes';
import { seeded } from '../../base/statistics';
import type { Drawn } from './draw';
import { below, each, quantile } from './columns';
import { playOutcomes } from './kernel';
import type { Samples } from './samples';
import { addVerdict } from './verdicts';

/** How far motor and rubber differ from one machine to the next of a mechanism, as spreads of logarithms. No source. */
const MOTOR_APART = 0.08;
const RUBBER_APART = 0.12;
const PULL_APART = 0.08;
/** How far a path read on another machine is from its own beside its reading's uncertainty, mm. No source. */
const PATH_APART_MM = 0.3;

/** What is a sister's own: path, friction twice, stiffness, rubber, motor, belt's length. */
const OWN = 7;
/** So many states of its own stand for all that a sister may be in. */
const STATES = 8;

/**
 * What sister machines say of the drives that could be the one on the bench (partial pooling): they share the mechanism,
 * and each has wear, dirt and stiffness of its own. Counted in is how well a sample explains what was tried there, and what
 * was measured, meant over what the sister's own state may be: to draw that beside each sample would ask for a sample in
 * which five machines are all in the right state at once, and hardly one is.
 *
 * Held in the test to what other seeds say of the same drive.
 *
 * @param logLikelihood to which it is added
 */
export function addSisters(situation: Situation, drawn: Drawn, logLikelihood: Float64Array): void {
  (situation.sisters ?? []).forEach((sister, index) =>
    addSister(situation, drawn, sister, statesOf(index), logLikelihood),
  );
}

/** A state of a sister's own: a standard normal number for each of its quantities. */
type State = readonly [
  path: number,
  motorFriction: number,
  drivenFriction: number,
  stiff: number,
  rubber: number,
  stall: number,
  length: number,
];

const known: State[][] = [];
/** A sister's states: each quantity spread evenly over its likelihood, the quantities shuffled against one another (McKay 1979). */
function statesOf(index: number): readonly State[] {
  const before = known[index];
  if (before) return before;
  const random = seeded(7919 + index);
  const even = Array.from({ length: STATES }, (_, i) => quantile((i + 0.5) / STATES));
  const shuffled = (): number[] => {
    const list = [...even];
    for (let i = STATES - 1; i > 0; i--) {
      const j = Math.floor(random() * (i + 1));
      [list[i], list[j]] = [list[j] as number, list[i] as number];
    }
    return list;
  };
  const columns = Array.from({ length: OWN }, shuffled);
  const states = even.map((_, i) => columns.map((column) => column[i]) as unknown as State);
  known[index] = states;
  return states;
}

/** The path's likelihood over what a sister's own path may be, and the path it is then believed to have, by a state. */
function pathOf(
  { priors }: Situation,
  { samples: { pathMm, count } }: Drawn,
  { path }: Sister,
  logLikelihood: Float64Array,
): (z: number) => Float64Array {
  const apart = priors.betweenMachines;
  if (!path) return (z) => each(count, (i) => (pathMm[i] as number) * (1 + apart * z));
  const variance = path.std ** 2 + PATH_APART_MM ** 2;
  const shares = each(count, (i) => {
    const own = ((pathMm[i] as number) * apart) ** 2;
    const all = own + variance;
    const off = path.value - (pathMm[i] as number);
    logLikelihood[i] = (logLikelihood[i] as number) - 0.5 * ((off * off) / all + Math.log(all));
    return own / all;
  });
  return (z) =>
    each(count, (i) => {
      const share = shares[i] as number;
      const mm = pathMm[i] as number;
      return mm + share * (path.value - mm) + Math.sqrt(share * variance) * z;
    });
}

/** Least likelihood of a pull that was read: not every reading is what it says. */
const PULL_UNLIKELY = 0.02;

function addSister(
  situation: Situation,
  drawn: Drawn,
  sister: Sister,
  states: readonly State[],
  logLikelihood: Float64Array,
): void {
  const { priors } = situation;
  const { samples, stiffness, wide } = drawn;
  const { count } = samples;
  const at = (list: Float64Array, i: number): number => list[i] as number;
  const pathMm = pathOf(situation, drawn, sister, logLikelihood);
  const pull = isTurned(situation.driven) ? undefined : sister.trayPullN;
  if (sister.tries.length === 0 && !pull) return;
  const found = sister.stiff ? priors.stiffnessLogStd : 0;
  const spread = (i: number): number => priors.stiffnessLogStd * at(wide, i);
  const friction = (surface: Sister['motorSurface'], z: number) =>
    each(count, (i) => Math.max(0.05, priors.friction[surface].best + priors.friction[surface].std * at(wide, i) * z));
  const shapes = new Set(sister.tries.map(({ belt }) => belt.shape));
  const belts = sister.tries.map(({ belt }) => belt);
  const sum = new Float64Array(count);
  const logs = new Float64Array(count);
  for (const [zPath, zMotor, zDriven, zStiff, zRubber, zStall, zLength] of states) {
    logs.fill(0);
    // A pull that was read says how stiff it is there, and a healthy one's spread how likely that is; else it is drawn.
    const stiff = pull
      ? each(count, (i) => {
          const off = Math.hypot(pull.std / pull.value, PULL_APART) * zStiff;
          return (pull.value * Math.exp(off)) / (at(samples.trayPullN, i) / at(stiffness, i));
        })
      : each(count, (i) => Math.exp(Math.abs(spread(i) * zStiff) + found));
    if (pull)
      for (let i = 0; i < count; i++) {
        const over = (Math.log(at(stiff, i)) - found) / spread(i);
        const density = over < 0 ? 0 : Math.exp(-0.5 * over * over);
        logs[i] = Math.log(Math.max(PULL_UNLIKELY, density) / spread(i));
      }
    if (belts.length > 0) {
      /** Only of the stocks that were tried there is the rubber asked for. */
      const apart = Math.exp(RUBBER_APART * zRubber);
      const rubber = (shape: SectionShape): Float64Array => {
        const list = samples.modulusMpa[shape];
        return shapes.has(shape) ? list.map((one) => one * apart) : list;
      };
      const motor = Math.exp(MOTOR_APART * zStall);
      const there: Samples = {
        ...samples,
        pathMm: pathMm(zPath),
        motorFriction: friction(sister.motorSurface, zMotor),
        drivenFriction: friction(sister.drivenSurface, zDriven),
        modulusMpa: forShapes(rubber),
        needNmm: each(count, (i) => (at(samples.needNmm, i) / at(stiffness, i)) * at(stiff, i)),
        stallNmm: samples.stallNmm.map((one) => one * motor),
        heldThroughN: new Float64Array(count),
        lengthWithin: new Float64Array(count).fill(2 * below(zLength) - 1),
      };
      const outcomes = playOutcomes(there, situation, belts);
      sister.tries.forEach(({ verdict }, index) =>
        addVerdict(outcomes.subarray(index * count, (index + 1) * count), verdict, logs),
      );
    }
    for (let i = 0; i < count; i++) sum[i] = at(sum, i) + Math.exp(at(logs, i));
  }
  for (let i = 0; i < count; i++) logLikelihood[i] = at(logLikelihood, i) + Math.log(at(sum, i) / states.length);
}
