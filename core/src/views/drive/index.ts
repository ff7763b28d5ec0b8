export { gripsNow } from './grips';
export { driveView, type Bench, type DriveView, type OfTicket } from './view';
export { oldSectionOnSale, onSale, stockOf } from './onSale';
export { triedBelt, type MechanismKnown } from './sisters';
export { candidateOf, chanceOf, questionOf, recommend, type Recommendation } from './recommendation';
export { wantedWords } from './wanted';
export { figuresOf, USUAL_MOTOR_RPM, type Figure } from './figures';
export { oldBeltTry, remedyTry, withProvisional, type NewTry } from './remedy';
export { judgedFitted } from './judged';
