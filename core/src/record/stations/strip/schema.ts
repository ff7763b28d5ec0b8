import { strip, stripEvents } from '../../../work/strip';

/** Strip and Rebuild share one part of the ticket: what came off is what goes back. */
export const stripState = { strip };
export { stripEvents };
