import type { Loader } from '@loose-pulley/core/base/loaders';
import type { Knowledge } from '@loose-pulley/core/work/diagnosis';
import { deal } from '../hidden';
import {
  LOST_AT,
  repair,
  SPENT_AT,
  STATED,
  TECHNICIANS,
  type LostAt,
  type Repaired,
  type SpentAt,
  type Stated,
  type Technician,
} from './repair';

/** How one technician did on the machines of one loader. */
export interface TechnicianRecord {
  readonly technician: Technician;
  readonly machines: number;
  /** Share cured at the first hand-back, with its standard error. */
  readonly cured: number;
  readonly curedStd: number;
  /** Belts fitted for each machine cured that asked for one; wrong ones among them; causes treated that were not there. */
  readonly beltsACure: number;
  readonly wrongBelts: number;
  readonly wrongCauses: number;
  readonly partsInVain: number;
  /** Share that comes back within a year, with its standard error. */
  readonly back: number;
  readonly backStd: number;
  /** Of all machines, where a cure was lost. */
  readonly lost: Readonly<Record<LostAt, number>>;
  readonly medianMinutes: number;
  /** Means. */
  readonly spent: Readonly<Record<SpentAt, number>>;
  readonly bands: readonly StatedBand[];
}
/** Chances that were stated in a band of ten points, and what came of them. */
export interface StatedBand {
  readonly of: Stated;
  readonly from: number;
  readonly cases: number;
  readonly stated: number;
  readonly came: number;
}

const mean = (list: readonly number[]): number => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);
const medianOf = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1] ?? 0;
const whole = ({ minutes }: Repaired): number => SPENT_AT.reduce((sum, at) => sum + minutes[at], 0);

function bandsOf(all: readonly Repaired[]): readonly StatedBand[] {
  const stated = all.flatMap((one) => one.stated);
  return STATED.flatMap((of) =>
    Array.from({ length: 10 }, (_, i): StatedBand => {
      const in10 = stated.filter(([what, chance]) => what === of && Math.min(9, Math.floor(10 * chance)) === i);
      return {
        of,
        from: 10 * i,
        cases: in10.length,
        stated: mean(in10.map(([, chance]) => chance)),
        came: mean(in10.map(([, , came]) => (came ? 1 : 0))),
      };
    }).filter(({ cases }) => cases > 0),
  );
}

function recordOf(technician: Technician, all: readonly Repaired[]): TechnicianRecord {
  const cured = mean(all.map((one) => (one.cured ? 1 : 0)));
  const back = mean(all.map((one) => (one.comesBack ? 1 : 0)));
  const withBelt = all.filter((one) => one.cured && one.belts > 0);
  return {
    technician,
    machines: all.length,
    cured,
    curedStd: Math.sqrt((cured * (1 - cured)) / Math.max(1, all.length)),
    beltsACure: mean(withBelt.map(({ belts }) => belts)),
    wrongBelts: mean(all.map((one) => one.wrongBelts)),
    wrongCauses: mean(all.map((one) => one.wrongCauses)),
    partsInVain: mean(all.map((one) => one.partsInVain)),
    back,
    backStd: Math.sqrt((back * (1 - back)) / Math.max(1, all.length)),
    lost: Object.fromEntries(
      LOST_AT.map((at) => [at, mean(all.map(({ lostAt }) => (lostAt === at ? 1 : 0)))]),
    ) as TechnicianRecord['lost'],
    medianMinutes: medianOf(all.map(whole)),
    spent: Object.fromEntries(
      SPENT_AT.map((at) => [at, mean(all.map(({ minutes }) => minutes[at]))]),
    ) as TechnicianRecord['spent'],
    bands: bandsOf(all),
  };
}

/**
 * Plays every technician on the same hidden machines of a loader.
 *
 * @param from number of the first machine
 * @param onMachine called after each, with how many are done
 * For instance playRepairs(KNOWLEDGE, 'tray', 100).length: 4
 */
export function playRepairs(
  knowledge: Knowledge,
  loader: Loader,
  machines: number,
  from = 1,
  onMachine?: (done: number) => void,
): readonly TechnicianRecord[] {
  const did = new Map<Technician, Repaired[]>(TECHNICIANS.map((one) => [one, []]));
  for (let i = 0; i < machines; i++) {
    const dealt = deal(knowledge, loader, from + i);
    if (!dealt.ok) continue;
    for (const technician of TECHNICIANS) did.get(technician)?.push(repair(knowledge, dealt.value, technician));
    onMachine?.(i + 1);
  }
  return TECHNICIANS.map((technician) => recordOf(technician, did.get(technician) ?? []));
}
