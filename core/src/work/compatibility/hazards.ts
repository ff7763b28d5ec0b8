import { AGENT_RECORDS } from './agents';
import type { Agent } from './schema';
import { STATEMENTS, type Pictogram, type StatementCode } from './statements';

/** The hazard statements of an agent. @example statementsOf('acetone') // ['H225', 'H319', 'H336'] */
export const statementsOf = (agent: Agent): readonly StatementCode[] => AGENT_RECORDS[agent].statements;

/** The pictograms of an agent, each once. @example pictogramsOf('acetone') // ['GHS02', 'GHS07'] */
export const pictogramsOf = (agent: Agent): readonly Pictogram[] => [
  ...new Set(statementsOf(agent).flatMap((code) => STATEMENTS[code].pictogram ?? [])),
];

/**
 * What to mind with agents, each thing once, in one sentence; empty where none of them carries a hazard statement.
 *
 * @example agentCaution('ethanol').startsWith('Flame: ') // true
 */
export function agentCaution(...agents: readonly Agent[]): string {
  const codes = [...new Set(agents.flatMap(statementsOf))].sort();
  if (codes.length === 0) return '';
  const flame = agents.some((agent) => pictogramsOf(agent).includes('GHS02')) ? 'Flame: ' : '';
  const words = codes.map((code) => STATEMENTS[code].caution).join('; ');
  return `${flame}${flame === '' ? words.replace(/^./, (letter) => letter.toUpperCase()) : words}.`;
}
