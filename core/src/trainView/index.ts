export { beltRatios, trainView, type TrainView } from './view';
