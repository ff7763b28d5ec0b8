export * from './schema';
export { AGENT_NAMES, DIRT_NAMES, EFFECT_NAMES, GRADE_NAMES, MATERIAL_NAMES } from './words';
export { COMPATIBILITY } from './table';
export { gradeOf, whatHappens } from './happens';
export { agentCaution, PICTOGRAMS, pictogramsOf, STATEMENTS, statementsOf, type Pictogram } from './hazards';
export { chooseAgents, isLubricant, type AgentChoice } from './choose';
export { checkCompatibility, DRY_MINUTES_MAX } from './check';
