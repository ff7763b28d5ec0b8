export { stripEventsOf, type StripBy } from './events';
