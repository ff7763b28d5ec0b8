import { firstValue } from '../../../base/schema';
import { complaint, type Complaint } from './schema';

/** A complaint as it is when the owner has just said it. @example newComplaint('k1', 'dead drawer').state // 'open' */
export const newComplaint = (id: string, words: string): Complaint => ({ ...firstValue(complaint), id, words });
