import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { LengthUnit } from '@loose-pulley/core/units';

/** What a single key does. Rebound on the shortcuts sheet, for a foot pedal. */
export type KeyAction =
  | 'jump'
  | 'help'
  | 'bench'
  | 'newTicket'
  | 'fit'
  | 'keep'
  | 'cycleStart'
  | 'cycleGood'
  | 'cycleBad'
  | 'cycleSlow'
  | 'cycleHelped';

export interface Settings {
  readonly unit: LengthUnit;
  readonly theme: 'light' | 'lamp';
  readonly singleKeys: boolean;
  readonly keys: Readonly<Record<KeyAction, string>>;
}

export const DEFAULT_KEYS: Settings['keys'] = {
  jump: '/',
  help: '?',
  bench: 'b',
  newTicket: 'n',
  fit: 'f',
  keep: 'k',
  cycleStart: 'e',
  cycleGood: 'g',
  cycleBad: 'x',
  cycleSlow: 's',
  cycleHelped: 'h',
};

const initialState: Settings = { unit: 'mm', theme: 'light', singleKeys: true, keys: DEFAULT_KEYS };

const slice = createSlice({
  name: 'settings',
  initialState,
  reducers: {
    settingsLoaded: (state, { payload }: PayloadAction<Partial<Settings>>) => ({
      ...state,
      ...payload,
      keys: { ...state.keys, ...payload.keys },
    }),
    unitChosen(state, { payload }: PayloadAction<LengthUnit>) {
      state.unit = payload;
    },
    themeChosen(state, { payload }: PayloadAction<Settings['theme']>) {
      state.theme = payload;
    },
    singleKeysSwitched(state, { payload }: PayloadAction<boolean>) {
      state.singleKeys = payload;
    },
    keyBound(state, { payload }: PayloadAction<{ action: KeyAction; key: string }>) {
      state.keys[payload.action] = payload.key;
    },
  },
});

export const { settingsLoaded, unitChosen, themeChosen, singleKeysSwitched, keyBound } = slice.actions;
export const settingsReducer = slice.reducer;
