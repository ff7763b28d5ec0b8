import { loaderOf, type Loader } from '@loose-pulley/core/base/loaders';
import { ok, refuse, type Result } from '@loose-pulley/core/base/units';
import type { Dealt, Help } from '@loose-pulley/core/record/stations';
import type { EventBody } from '@loose-pulley/core/record/ticket';
import { PREPARED, PREPARED_VERSION } from '@loose-pulley/lab/hidden';
import type { Hardness } from '@loose-pulley/lab/practice';
import { askMachine, type Brought } from '../../workers/practice';
import { newTicket } from '../persistence/newTicket';
import { selectSummaries } from '../store/selectors';
import type { Thunk } from '../store/types';

/** Which machine is wanted: any that is so hard, the one of a number, or a prepared one. */
export type Wanted =
  { readonly loader: Loader; readonly hardness: Hardness } | Pick<Dealt, 'loader' | 'number' | 'prepared' | 'version'>;

/** One of a number, of this app's own making. */
export const numbered = (loader: Loader, number: number): Wanted => ({
  loader,
  number,
  prepared: null,
  version: PREPARED_VERSION,
});
/** A prepared one, by its name. */
export const prepared = (id: string): Wanted => {
  const one = PREPARED.find((entry) => entry.id === id);
  return { loader: one?.loader ?? 'tray', number: one?.number ?? 0, prepared: id, version: PREPARED_VERSION };
};

/** What a machine is called: it tells neither its fault nor its sisters. */
function nameOf({ loader, number }: Brought, preparedId: string | null): string {
  if (preparedId !== null) return `Practice machine ${PREPARED.findIndex(({ id }) => id === preparedId) + 1}`;
  return `Practice ${loaderOf(loader).name.split(',')[0]} ${number}`;
}

/**
 * Brings a hidden machine in, as a ticket of its own.
 *
 * @returns the ticket's id; or why there is no such machine
 */
export const beginPractice =
  (wanted: Wanted, help: Help): Thunk<Promise<Result<string>>> =>
  async (dispatch, getState) => {
    const asked = 'hardness' in wanted ? { ...wanted, seed: Math.floor(Math.random() * 2 ** 31) } : wanted;
    const preparedId = 'hardness' in wanted ? null : wanted.prepared;
    try {
      const brought = await askMachine<Result<Brought>>((api) => api.bring(asked));
      if (!brought.ok) return brought;
      const { loader, number, complaint } = brought.value;
      const name = nameOf(brought.value, preparedId);
      // Another try is another machine, so that what was learned of the last is not known beforehand.
      const tries = selectSummaries(getState()).filter(({ machine }) => machine.split(', try ')[0] === name).length;
      const machine = tries === 0 ? name : `${name}, try ${tries + 1}`;
      const version = 'hardness' in wanted ? PREPARED_VERSION : wanted.version;
      const since = new Date().toISOString();
      const then = (): readonly EventBody[] => [
        { type: 'machineDealt', dealt: { loader, number, prepared: preparedId, version, help } },
        { type: 'mainsSaid', mains: { state: 'plugged', since } },
        { type: 'lidSaid', lid: { state: 'on', since } },
      ];
      return ok(await dispatch(newTicket({ machine, loader, serial: '', owner: '', complaint }, then)));
    } catch {
      return refuse('No machine came: the background work stopped. Try again.');
    }
  };
