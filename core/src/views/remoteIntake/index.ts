export { questionsFor, type Question } from './questions';
export { ANSWERS_FORMAT, ANSWERS_VERSION } from './answers';
