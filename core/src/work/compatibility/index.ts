export * from './schema';
export { DIRT_NAMES, EFFECT_NAMES, GRADE_NAMES, MATERIAL_NAMES } from './words';
export { AGENT_RECORDS } from './agents';
export { COMPATIBILITY } from './table';
export { gradeOf, whatHappens } from './happens';
export { agentCaution, pictogramsOf, statementsOf } from './hazards';
export { PICTOGRAMS, STATEMENTS, type Pictogram } from './statements';
export { chooseAgents, type AgentChoice } from './choose';
export { checkCompatibility, DRY_MINUTES_MAX } from './check';
