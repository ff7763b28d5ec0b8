export { cover, type Cover, type Demand, type Offer } from './cover';
export { restockQuestion, type RestockQuestion } from './demand';
