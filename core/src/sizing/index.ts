export { DEFAULT_LIMITS, healthyPullN, type Limits, type Spread } from './limits';
export {
  judge,
  idlerSurface,
  type Judgement,
  type Running,
  type Situation,
  type SpeedWanted,
  type Weakness,
  type Zone,
} from './judge';
export { formatNeed, limitsFor } from './driven';
export { rank, type Candidate, type Ranking } from './rank';
export { zones, type RulerZone } from './zones';
export { rulesOfThumb, type RuleOfThumb } from './rulesOfThumb';
export { oldBeltFinding, situationOf } from './situation';
export { cannotGoOn, marginWord, reasons, WEAKNESS_NAMES, ZONE_NAMES } from './words';
