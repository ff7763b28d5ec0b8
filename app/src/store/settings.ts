import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { DEFAULT_LIMITS, type Limits } from '@loose-pulley/core/sizing';
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
  | 'cycleHelped'
  | 'power'
  | 'lid'
  | 'answer1'
  | 'answer2'
  | 'answer3'
  | 'answer4'
  | 'answer5'
  | 'answer6'
  | 'answerUnclear'
  | 'answerNotTried'
  | 'answerOther';

/** The answers of a test, in their order. */
export const ANSWER_KEYS = ['answer1', 'answer2', 'answer3', 'answer4', 'answer5', 'answer6'] as const;

export interface Settings {
  readonly unit: LengthUnit;
  readonly theme: 'light' | 'lamp';
  readonly singleKeys: boolean;
  readonly keys: Readonly<Record<KeyAction, string>>;
  /** What belts are judged by on this bench. */
  readonly limits: Limits;
  /** What prints are multiplied by so that they come out at 1:1 on this bench's printer. */
  readonly printScale: number;
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
  power: 'p',
  lid: 'l',
  answer1: '1',
  answer2: '2',
  answer3: '3',
  answer4: '4',
  answer5: '5',
  answer6: '6',
  answerUnclear: 'u',
  answerNotTried: 't',
  answerOther: 'o',
};

const initialState: Settings = {
  unit: 'mm',
  theme: 'light',
  singleKeys: true,
  keys: DEFAULT_KEYS,
  limits: DEFAULT_LIMITS,
  printScale: 1,
};

const slice = createSlice({
  name: 'settings',
  initialState,
  reducers: {
    settingsLoaded: (state, { payload }: PayloadAction<Partial<Settings>>) => ({
      ...state,
      ...payload,
      keys: { ...state.keys, ...payload.keys },
      // What a later version added to them is filled in.
      limits: { ...state.limits, ...payload.limits },
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
    limitsSet: (state, { payload }: PayloadAction<Limits>) => ({ ...state, limits: payload }),
    printScaleSet(state, { payload }: PayloadAction<number>) {
      state.printScale = payload;
    },
    keyBound(state, { payload }: PayloadAction<{ action: KeyAction; key: string }>) {
      state.keys[payload.action] = payload.key;
    },
  },
});

export const { settingsLoaded, unitChosen, themeChosen, singleKeysSwitched, keyBound, limitsSet, printScaleSet } =
  slice.actions;
export const settingsReducer = slice.reducer;
