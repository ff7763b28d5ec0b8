/*
 * Opening tickets, walking their history, and what an event was in words. Apart, so that it is fetched once the page
 * stands: most changes only append.
 */
export { newComplaint } from '@loose-pulley/core/record/stations';
export {
  appendAny,
  describeEvent,
  eventPlace,
  openRecord,
  redoTarget,
  undoTarget,
} from '@loose-pulley/core/record/ticket';
