import { firstValue } from '../../base/schema';
import { strip, type Strip } from './schema';

/** A machine of which nothing came off yet. */
export const EMPTY_STRIP: Strip = firstValue(strip);
