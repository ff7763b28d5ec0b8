/** What an event was, in words. Apart, so that it is fetched once the page stands: only undo and the history ask for it. */
export { describeEvent, eventPlace } from '@loose-pulley/core/ticket';
