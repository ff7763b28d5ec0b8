export { combineEstimates, oddOnesOut, rootSumSquares, totalStd, type Combined, type Estimate } from './combine';
