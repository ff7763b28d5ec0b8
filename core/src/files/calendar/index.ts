export { planCalendar } from './calendar';
