export { combineEstimates, oddOnesOut, rootSumSquares, totalStd, type Combined, type Estimate } from './combine';
export {
  agreementOf,
  chiSquaredAt95,
  modesOf,
  momentsOfModes,
  spreadAbout,
  type Agreement,
  type Mode,
} from './agreement';
export { atMost, exactInterval, noneFailedBound } from './binomial';
export { fisherTwoSided, noneAfterChance, type TwoByTwo } from './fisher';
export { crossing } from './bisect';
export { bellCurve, seeded, type Random } from './random';
export { normalCdf, normalQuantile } from './normal';
