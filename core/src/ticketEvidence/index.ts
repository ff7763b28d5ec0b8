export { answersOf, caseOf, type Answer } from './caseOf';
export { takenFrom, type Taken } from './fromTicket';
export { sameTestElsewhere } from './sameTest';
