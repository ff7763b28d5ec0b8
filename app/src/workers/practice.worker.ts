import './living';
import { expose } from 'comlink';
import { DRIVEN, loaderOf, type Loader } from '@loose-pulley/core/base/loaders';
import { ok, type Result } from '@loose-pulley/core/base/units';
import type { OldState } from '@loose-pulley/core/physics/drive';
import type { SectionShape } from '@loose-pulley/core/base/shapes';
import { KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import { broughtIn, complaintOf, lay, type Hand, type Laid, type OnBench } from '@loose-pulley/lab/hidden';
import { dealHard, ending, theMachine, type Ending, type Hardness, type Which } from '@loose-pulley/lab/practice';

/** A machine as it is brought in: which it is, and what its owner says. */
export interface Brought {
  readonly loader: Loader;
  readonly number: number;
  readonly complaint: string;
}

/** What came of a hand, and what the eye then sees of the belt in it. */
export interface Seen extends Omit<Laid, 'on'> {
  /** It could not be laid on it now; the words say why. */
  readonly refused: boolean;
  readonly oldShape?: SectionShape;
  readonly oldState?: OldState;
}

/** What an open machine shows of a belt that is no more. */
const GONE: Readonly<Record<string, OldState>> = { beltBroken: 'broken', beltDissolved: 'crumbs' };

/** The machine that hands were laid on last, so that the next hand costs only itself. */
let last: { readonly key: string; readonly on: OnBench } | null = null;
const keyOf = (which: Which, hands: readonly Hand[]): string =>
  JSON.stringify([which.loader, which.number, which.prepared, ...hands.map((one) => [one.do, one.what])]);

function standing(which: Which, hands: readonly Hand[]): Result<OnBench> {
  const key = keyOf(which, hands);
  if (last?.key === key) return ok(last.on);
  const machine = theMachine(KNOWLEDGE, which);
  if (!machine.ok) return machine;
  return ok(hands.reduce((on, hand, times) => lay(KNOWLEDGE, on, hand, times).on, broughtIn(machine.value)));
}

const api = {
  /** Brings a machine in: a prepared one, one by its number, or one as hard as was asked for. */
  bring(
    asked: Which | { readonly loader: Loader; readonly hardness: Hardness; readonly seed: number },
  ): Result<Brought> {
    const machine =
      'hardness' in asked
        ? dealHard(KNOWLEDGE, asked.loader, asked.hardness, asked.seed)
        : theMachine(KNOWLEDGE, asked);
    if (!machine.ok) return machine;
    const behaviour = KNOWLEDGE.tests.find(({ id }) => id === 'behaviour');
    const { loader, number } = machine.value;
    const moved = DRIVEN[loaderOf(loader).driven].word;
    const complaint = behaviour ? complaintOf(broughtIn(machine.value), behaviour) : `the ${moved} fails`;
    return ok({ loader, number, complaint });
  },

  /** Lays the next hand on it. */
  lay(which: Which, hands: readonly Hand[], hand: Hand): Result<Seen> {
    const before = standing(which, hands);
    if (!before.ok) return before;
    const { on, ...laid } = lay(KNOWLEDGE, before.value, hand, hands.length);
    const seen = { ...laid, refused: on === before.value };
    if (!seen.refused) last = { key: keyOf(which, [...hands, hand]), on };
    if (hand.do !== 'open') return ok(seen);
    const gone = on.belt === null ? on.machine.causes.flatMap((cause) => GONE[cause] ?? [])[0] : undefined;
    return ok({ ...seen, oldShape: on.machine.drive.section.shape, ...(gone && { oldState: gone }) });
  },

  /** All that is told once it went back. */
  end(which: Which, hands: readonly Hand[]): Result<Ending> {
    const machine = theMachine(KNOWLEDGE, which);
    return machine.ok ? ok(ending(KNOWLEDGE, machine.value, which.prepared, hands)) : machine;
  },
};
export type PracticeApi = typeof api;
expose(api);
