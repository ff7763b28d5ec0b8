import { listed } from '../../base/units';
import { CLEANERS } from './agents';
import { gradeOf, whatHappens } from './happens';
import { MATERIAL_NAMES } from './words';
import {
  AGENTS,
  isLubricant,
  type Agent,
  type Compatibility,
  type Dirt,
  type Effect,
  type Grade,
  type Material,
} from './schema';

/** An agent for a place: how it gets on with the material, and what it does to the dirt. */
export interface AgentChoice {
  readonly agent: Agent;
  readonly grade: Grade;
  readonly effect: Effect;
  /** What happens to the material; empty where nothing does. */
  readonly happens: string;
}

const GRADE_ORDER: Readonly<Record<Grade, number>> = { fine: 0, brief: 1, unknown: 2, no: 3 };
const EFFECT_ORDER: Readonly<Record<Effect, number>> = { takes: 0, loosens: 1, nothing: 2 };

/** The least that an agent does to any of the dirts: what leaves one of them does not do it alone. */
function effectOn(table: Compatibility, agent: Agent, dirts: readonly Dirt[]): Effect {
  const worst = dirts
    .map((dirt): Effect => table.effects[agent]?.[dirt] ?? 'nothing')
    .sort((a, b) => EFFECT_ORDER[b] - EFFECT_ORDER[a])[0];
  return worst ?? 'takes';
}

/** How an agent gets on with what may be any of several materials: the worst of it, in words. */
function worstOf(
  table: Compatibility,
  agent: Agent,
  materials: readonly Material[],
): Pick<AgentChoice, 'grade' | 'happens'> {
  const [only] = materials;
  if (only && materials.length === 1)
    return { grade: gradeOf(table, agent, only), happens: whatHappens(table, agent, only) };
  const harmed = materials.filter((one) => gradeOf(table, agent, one) === 'no');
  const worst = materials.map((one) => gradeOf(table, agent, one)).sort((a, b) => GRADE_ORDER[b] - GRADE_ORDER[a])[0];
  if (harmed.length === 0) return { grade: worst ?? 'unknown', happens: '' };
  const names = listed(
    harmed.map((one) => MATERIAL_NAMES[one]),
    'or',
  );
  // Some of what it may be bears it: it is not known to harm.
  return {
    grade: harmed.length === materials.length ? 'no' : 'unknown',
    happens: `it harms ${names}, which this may be`,
  };
}

/**
 * The agents for a place, in the order in which to try them: what does no harm first, of those what takes the dirt off,
 * of those the gentlest. What harms comes last, with its reason, so that nobody wonders where it went.
 *
 * @param materials what it is of, or may be of
 * @param dirts what is there; none asks for a plain wipe
 * @example chooseAgents(COMPATIBILITY, ['abs'], ['oily'])[0]?.agent // 'soapyWater'
 */
export function chooseAgents(
  table: Compatibility,
  materials: readonly Material[],
  dirts: readonly Dirt[],
): readonly AgentChoice[] {
  return AGENTS.map((agent): AgentChoice => ({
    agent,
    effect: effectOn(table, agent, dirts),
    ...worstOf(table, agent, materials),
  }))
    .filter(({ agent, effect }) =>
      dirts.length === 0 ? !isLubricant(agent) && CLEANERS[agent].use !== 'forAReason' : effect !== 'nothing',
    )
    .sort(
      (a, b) =>
        Number(a.grade === 'no') - Number(b.grade === 'no') ||
        EFFECT_ORDER[a.effect] - EFFECT_ORDER[b.effect] ||
        GRADE_ORDER[a.grade] - GRADE_ORDER[b.grade] ||
        AGENTS.indexOf(a.agent) - AGENTS.indexOf(b.agent),
    );
}
