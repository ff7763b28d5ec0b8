import type { MaterialGroup } from './agentRecord';
import { AGENT_RECORDS } from './agents';
import { COMPATIBILITY } from './table';
import type { Agent, Compatibility, Grade, KnownMaterial } from './schema';

const GROUP: Readonly<Record<KnownMaterial, MaterialGroup>> = {
  copperAlloy: 'metal',
  steel: 'metal',
  aluminium: 'metal',
  acetal: 'plastic',
  nylon: 'plastic',
  abs: 'plastic',
  polystyrene: 'plastic',
  polycarbonate: 'clear',
  acrylic: 'clear',
  glass: 'glass',
  coatedLens: 'lens',
  painted: 'paint',
  nitrile: 'rubber',
  chloroprene: 'rubber',
  naturalRubber: 'rubber',
  ethylenePropylene: 'rubber',
  siliconeRubber: 'rubber',
  polyurethane: 'rubber',
};

/**
 * How an agent and a material get on. A material that nobody named, and a pair that the table does not hold, count as
 * unknown.
 *
 * @example gradeOf(COMPATIBILITY, 'acetone', 'abs') // 'no'
 */
export const gradeOf = (table: Compatibility, agent: Agent, material: KnownMaterial | 'unknown'): Grade =>
  material === 'unknown' ? 'unknown' : (table.grades[agent]?.[material] ?? 'unknown');

/**
 * What happens where an agent meets a material; empty where nothing does. A grade that the bench has changed is its own.
 *
 * @example whatHappens(COMPATIBILITY, 'acetone', 'abs') // 'dissolves it and leaves it dull and sticky'
 */
export function whatHappens(table: Compatibility, agent: Agent, material: KnownMaterial | 'unknown'): string {
  const grade = gradeOf(table, agent, material);
  if (material === 'unknown') return 'what it is made of is not known';
  if (grade !== gradeOf(COMPATIBILITY, agent, material)) return grade === 'fine' ? '' : 'by this bench’s own table';
  if (grade === 'fine') return '';
  if (grade === 'unknown') return agent === 'contactCleaner' ? 'as its label says' : 'no table that we know tells';
  return AGENT_RECORDS[agent].harm[GROUP[material]] ?? 'it may harm it';
}
