import { PICTURES_MAX } from '@loose-pulley/core/files/exchange';
import { recordEvent } from '../../state/persistence/recording';
import { savePicture, whilePicturesStay } from '../../state/persistence/pictures';
import { storeProblem } from '../../state/persistence/storage';
import type { RootState, Thunk } from '../../state/store/types';
import { withPictures } from '../../workers/pictures';

/** What became of the pictures handed over. */
export interface Added {
  /** The names of those that are on the ticket now, in the order in which they were handed over. */
  readonly ids: readonly string[];
  /** A sentence each for those that are not. */
  readonly refused: readonly string[];
}

interface Named {
  readonly name: string;
  readonly blob: Blob;
}

const openTicketOf = (state: RootState) =>
  state.openTicket.ticket.status === 'open' ? state.openTicket.ticket.record.ticket : undefined;

/**
 * Puts pictures on the open ticket: scaled in a worker, written before the ticket names them, one by one, so that what
 * cannot be read costs only itself.
 *
 * @param caption of each
 */
export const addPictures =
  (
    pictures: readonly Named[],
    caption = '',
    onProgress: (done: number) => void = () => undefined,
  ): Thunk<Promise<Added>> =>
  (dispatch, getState, { keeper }) => {
    const ids: string[] = [];
    const refused: string[] = [];
    return whilePicturesStay(() =>
      withPictures(async (api) => {
        for (const [index, { name, blob }] of pictures.entries()) {
          onProgress(index);
          const ticket = openTicketOf(getState());
          if (!ticket) break;
          if (ticket.pictures.length >= PICTURES_MAX) {
            refused.push(
              `A ticket carries ${PICTURES_MAX} pictures at most; “${name}” and what came after it stay out.`,
            );
            break;
          }
          const shrunk = await api.shrink(blob, name);
          if (!shrunk.ok) {
            refused.push(shrunk.problem);
            continue;
          }
          const { id, bytes, widthPx, heightPx } = shrunk.value;
          if (ids.includes(id)) continue;
          try {
            await savePicture(id, bytes);
          } catch (error) {
            refused.push(`“${name}” is not kept. ${storeProblem(error).sentence}`);
            break;
          }
          const known = ticket.pictures.find((one) => one.id === id);
          const at = new Date().toISOString();
          const picture = known ?? { id, caption, at, widthPx, heightPx, bytes: bytes.length, marks: [] };
          if (known || dispatch(recordEvent({ type: 'picturePut', picture }))) ids.push(id);
        }
        const ticket = openTicketOf(getState());
        if (ticket) await keeper.whenKept(ticket.id);
        return { ids, refused };
      }),
    );
  };
