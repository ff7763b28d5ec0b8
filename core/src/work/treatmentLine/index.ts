export { accountOfTreatment } from './account';
export { readTreatment, TREATMENT_LINE_MAX, type ReadAgainst } from './readTreatment';
export type { PlaceNamed, TreatmentDeed, TreatmentRead, TreatmentTold, TreatmentWay } from './types';
