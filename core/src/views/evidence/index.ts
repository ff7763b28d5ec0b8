export { answersOf, caseOf, impossibleTests, type Answer } from './caseOf';
export { COLD_ROOM_C, complaintConditions, failsInCold, IN_THE_COLD } from './cold';
export { offeredAnswers, type OfferedAnswer } from './offers';
export { takenFrom, type Taken } from './fromTicket';
export { sameTestElsewhere } from './sameTest';
export { putRight, type PutRight } from './putRight';
