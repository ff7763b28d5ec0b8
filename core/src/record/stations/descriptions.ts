/* Apart from what a station keeps and does: these words are wanted only once a page stands. */
import { deskDescriptions } from './desk/describe';
import { takeInDescriptions } from './takeIn/describe';
import { findDescriptions } from './find/describe';
import { stripDescriptions } from './strip/describe';
import { cleanDescriptions } from './clean/describe';
import { trainDescriptions } from './train/describe';
import { measureDescriptions } from './measure/describe';
import { sizeDescriptions } from './size/describe';
import { rebuildDescriptions } from './rebuild/describe';
import { proveDescriptions } from './prove/describe';
import { handBackDescriptions } from './handBack/describe';
import { practiceDescriptions } from './practice/describe';

/** Each event in a few words, and its place. */
export const stationDescriptions = {
  ...deskDescriptions,
  ...takeInDescriptions,
  ...findDescriptions,
  ...stripDescriptions,
  ...cleanDescriptions,
  ...trainDescriptions,
  ...measureDescriptions,
  ...sizeDescriptions,
  ...rebuildDescriptions,
  ...proveDescriptions,
  ...handBackDescriptions,
  ...practiceDescriptions,
};
