export { cover, type Cover, type Demand, type Offer } from './cover';
export { restockQuestion, USUAL_PRICE, type RestockQuestion } from './demand';
