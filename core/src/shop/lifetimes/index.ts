export { kaplanMeier, timeAt, type Life, type Survival, type SurvivalStep } from './kaplanMeier';
export {
  dueMonthsOf,
  livesOf,
  minutesOf,
  returnedWithinYear,
  survivalByRemedy,
  totalsOf,
  type RemedyLife,
  type Totals,
} from './lives';
