export { trainSaid } from './said';
export { beltRatios, trainTravel, trainView, type TrainView } from './view';
