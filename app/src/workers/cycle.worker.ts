import './living';
import {
  bestMachine,
  CyclePlay,
  type CycleKnown,
  type CycleShares,
  type Played,
  type SingleChange,
} from '@loose-pulley/core/belts/cycling';
import { believe, type Believed, type Samples, type TriedBelt } from '@loose-pulley/core/belts/probability';
import type { Situation } from '@loose-pulley/core/belts/sizing';
import { cycle, onKnifeEdge, type Cycle, type CycleMachine } from '@loose-pulley/core/physics/cycle';

/** What is asked of one drive: the cycle that is drawn, what machines that fit come to, and what one change would do. */
export interface CycleQuestion {
  readonly situation: Situation;
  readonly tries: readonly TriedBelt[];
  readonly known: CycleKnown;
  readonly played: Played;
  /** As it is, where something is changed for a look. */
  readonly before: Played | null;
  readonly changes: readonly SingleChange[];
  readonly seed: number;
}
export type CycleNews =
  | { readonly type: 'cycle'; readonly machine: CycleMachine; readonly cycle: Cycle }
  | { readonly type: 'edge'; readonly edge: boolean }
  | { readonly type: 'refused'; readonly problem: string }
  | { readonly type: 'shares' | 'before'; readonly shares: CycleShares; readonly of: number }
  | { readonly type: 'change'; readonly id: SingleChange['id']; readonly shares: CycleShares }
  | { readonly type: 'done' };
export interface CycleAsked {
  readonly id: number;
  readonly question: CycleQuestion;
}
export interface NumberedNews {
  readonly id: number;
  readonly news: CycleNews;
}

/** As many as a chance rests on. */
const SAMPLES = 6000;
/** So many machines stand for all; and so many are run before anybody may ask anew. */
const MACHINES = 300;
const AT_ONCE = 10;

const EDGE_STEP_S = 4e-4;

let newest = 0;
/** What is believed of the drive last asked about, and which machines agree with the bench. */
let kept: { readonly key: string; readonly believed: Believed<Samples>; readonly agreed: Map<number, boolean> } | null =
  null;
const breathe = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

/** Runs a play to its end, unless something newer is asked. */
async function played(
  id: number,
  play: CyclePlay,
  onShares: (shares: CycleShares) => void,
  every: number,
): Promise<boolean> {
  for (let more = true; more;) {
    more = play.go(AT_ONCE);
    if (play.done % every === 0 || !more) onShares(play.shares);
    await breathe();
    if (id !== newest) return false;
  }
  return true;
}

async function answer({ id, question }: CycleAsked): Promise<void> {
  const { situation, tries, known, played: now, before, changes, seed } = question;
  const say = (news: CycleNews): void => postMessage({ id, news } satisfies NumberedNews);
  const machine = bestMachine(situation, now, known);
  const one = machine.ok ? cycle(machine.value, now.on) : machine;
  if (!machine.ok || !one.ok) {
    say({ type: 'refused', problem: one.ok ? '' : one.problem });
    return;
  }
  say({ type: 'cycle', machine: machine.value, cycle: one.value });
  await breathe();
  if (id !== newest) return;
  say({ type: 'edge', edge: onKnifeEdge(machine.value, now.on, one.value.outcome, { stepS: EDGE_STEP_S }) });
  await breathe();
  if (id !== newest) return;
  const key = JSON.stringify([situation, tries, known]);
  if (key !== kept?.key) kept = { key, believed: believe(situation, tries, SAMPLES, seed), agreed: new Map() };
  const { believed, agreed } = kept;
  // The same machines for each, so that two plays differ by what was changed alone.
  const play = (what: Played): CyclePlay =>
    new CyclePlay(situation, believed, MACHINES, known, what, seed, tries, agreed);
  const shares = (type: 'shares' | 'before') => (found: CycleShares) => say({ type, shares: found, of: MACHINES });
  if (!(await played(id, play(now), shares('shares'), 50))) return;
  if (before && !(await played(id, play(before), shares('before'), MACHINES))) return;
  for (const change of changes) {
    const take = (found: CycleShares): void => say({ type: 'change', id: change.id, shares: found });
    if (!(await played(id, play(change.played), take, MACHINES))) return;
  }
  say({ type: 'done' });
}

addEventListener('message', ({ data }: MessageEvent<CycleAsked>) => {
  newest = data.id;
  void answer(data);
});
