export { beltRatios, trainTravel, trainView, type TrainView } from './view';
