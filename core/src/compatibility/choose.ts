import { gradeOf, whatHappens } from './happens';
import { AGENTS, type Agent, type Compatibility, type Dirt, type Effect, type Grade, type Material } from './schema';

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

/**
 * The agents for a place, in the order in which to try them: what does no harm first, of those what takes the dirt off,
 * of those the gentlest. What harms comes last, with its reason, so that nobody wonders where it went.
 *
 * @param dirts what is there; none asks for a plain wipe
 * @example chooseAgents(COMPATIBILITY, 'abs', ['oily'])[0]?.agent // 'soapyWater'
 */
export function chooseAgents(table: Compatibility, material: Material, dirts: readonly Dirt[]): readonly AgentChoice[] {
  return AGENTS.map((agent): AgentChoice => ({
    agent,
    grade: gradeOf(table, agent, material),
    effect: effectOn(table, agent, dirts),
    happens: whatHappens(table, agent, material),
  }))
    .filter(({ agent, effect }) =>
      dirts.length === 0 ? !isLubricant(agent) && agent !== 'abrasive' : effect !== 'nothing',
    )
    .sort(
      (a, b) =>
        Number(a.grade === 'no') - Number(b.grade === 'no') ||
        EFFECT_ORDER[a.effect] - EFFECT_ORDER[b.effect] ||
        GRADE_ORDER[a.grade] - GRADE_ORDER[b.grade] ||
        AGENTS.indexOf(a.agent) - AGENTS.indexOf(b.agent),
    );
}

const LUBRICANTS: ReadonlySet<Agent> = new Set(['fineOil', 'lithiumGrease', 'siliconeGrease']);
/** @example isLubricant('fineOil') // true */
export const isLubricant = (agent: Agent): boolean => LUBRICANTS.has(agent);
