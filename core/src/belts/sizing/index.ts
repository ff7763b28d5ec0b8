export {
  checkPriors,
  DEFAULT_PRIORS,
  FRICTION_FIELD,
  hardnessOf,
  withHardness,
  healthyPullN,
  PRIOR_FIGURES,
  PRIOR_SPREADS,
  type FigureKey,
  type PriorField,
  type Priors,
  type Spread,
  type SpreadKey,
} from './priors';
export {
  checkRequirements,
  DEFAULT_REQUIREMENTS,
  priorsOfLimits,
  REQUIREMENT_FIELDS,
  requirementsOfLimits,
} from './requirements';
export {
  idlerSurface,
  situationOf,
  SPINDLE_TOLERANCE_PERCENT,
  type Sister,
  type Situation,
  type SituationSetting,
} from './situation';
export { oldBeltFinding } from './oldBeltFinding';
export { gearingOf, needNmm, pullPrior, torqueWords } from './need';
export { bestOf, bestValues, GROOVE_LOG_RATIO, relativeOf } from './bestValues';
export { judge, type Judgement, type Running, type Zone } from './judge';
export { GUIDE_PRIORS, inRoomWords, roomTimes, type Bounds, type Room } from './room';
export { rank, type Candidate, type Ranking } from './rank';
export { zones, type RulerZone } from './zones';
export { rulesOfThumb, type RuleOfThumb } from './rulesOfThumb';
export { cannotGoOn, FAILURE_NAMES, marginWord, reasons, stretchWords, ZONE_NAMES } from './words';
