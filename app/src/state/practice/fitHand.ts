import { CATALOGUE, sameBelt } from '@loose-pulley/core/belts/catalogue';
import type { Try } from '@loose-pulley/core/record/stations';
import { saidAloud } from '../store/openTicket';
import type { Thunk } from '../store/types';
import { layHand } from './layHand';

/** Fits a belt on the hidden machine, where it is one that is sold. */
export const fitHand =
  (fitted: Try): Thunk<Promise<boolean>> =>
  async (dispatch) => {
    const belt = CATALOGUE.find((one) => sameBelt({ ...one, widthMm: one.widthMm ?? null }, fitted));
    if (belt) return dispatch(layHand({ do: 'fit', what: belt.id }));
    dispatch(saidAloud({ text: 'In practice only belts on sale can be fitted: choose one of the list.', to: null }));
    return false;
  };
