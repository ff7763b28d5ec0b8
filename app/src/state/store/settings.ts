import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ToBeHad } from '@loose-pulley/core/belts/catalogue';
import { LUBRICANT_RULES, type LubricantRuleId } from '@loose-pulley/core/work/cleaning';
import type { Priors } from '@loose-pulley/core/belts/sizing';
import type { Requirements } from '@loose-pulley/core/physics/evaluation';
import type { LengthUnit } from '@loose-pulley/core/base/units';

/** What a single key does. Rebound on the shortcuts sheet, for a foot pedal. */
export const DEFAULT_KEYS = {
  jump: '/',
  help: '?',
  bench: 'b',
  newTicket: 'n',
  fit: 'f',
  keep: 'k',
  ranRight: 'r',
  cured: 'c',
  cycleStart: 'e',
  cycleGood: 'g',
  cycleBad: 'x',
  cycleSlow: 's',
  cycleHelped: 'h',
  power: 'p',
  lid: 'l',
  stepBack: 'v',
  layerBack: 'w',
  answer1: '1',
  answer2: '2',
  answer3: '3',
  answer4: '4',
  answer5: '5',
  answer6: '6',
  answerUnclear: 'u',
  answerNotTried: 't',
  answerOther: 'o',
  confirm: 'y',
  askOn: 'q',
  firstFinding: 'a',
  otherFinding: 'd',
};
export type KeyAction = keyof typeof DEFAULT_KEYS;
const KEY_ACTIONS = Object.keys(DEFAULT_KEYS) as KeyAction[];

/** The answers of a test, in their order. */
export const ANSWER_KEYS = ['answer1', 'answer2', 'answer3', 'answer4', 'answer5', 'answer6'] as const;

/** Light or dark; as the system has it until one is chosen. */
export type Theme = 'system' | 'light' | 'dark';

export interface Settings {
  readonly unit: LengthUnit;
  readonly theme: Theme;
  readonly singleKeys: boolean;
  readonly keys: Readonly<Record<KeyAction, string>>;
  /**
   * What is believed of a drive until it is measured, and what is demanded of a belt, as this bench has kept it; and the
   * one list of both that older versions kept. Looked over where they are read: see `assumptions`.
   */
  readonly priors?: unknown;
  readonly requirements?: unknown;
  readonly limits?: unknown;
  /** What of belts and rings this bench can get. */
  readonly toBeHad: ToBeHad;
  /** Whether a household band is offered at all. */
  readonly bands: boolean;
  /** What the adviser asks by: the most information for each minute, or for each test. */
  readonly askBy: 'minute' | 'test';
  /** What this bench puts on guides and rods; asked once. */
  readonly lubricant: LubricantRuleId;
  /** What prints are multiplied by so that they come out at 1:1 on this bench's printer. */
  readonly printScale: number;
  /** Who this bench is, as it stands on papers; empty where it was not said. */
  readonly benchName: string;
  /** When the last copy of everything was saved; ISO, empty before the first. Never handed on. */
  readonly copiedAt: string;
}

export const DEFAULT_SETTINGS: Settings = {
  unit: 'mm',
  theme: 'system',
  singleKeys: true,
  keys: DEFAULT_KEYS,
  toBeHad: 'both',
  bands: true,
  askBy: 'minute',
  lubricant: 'unknown',
  printScale: 1,
  benchName: '',
  copiedAt: '',
};

/** The longest name of a bench. */
export const BENCH_NAME_MAX = 80;

const recordOf = (value: unknown): Record<string, unknown> =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};

/**
 * Settings as kept, made whole, field by field: what is missing, of an older version or out of bounds is the app's own.
 * Nothing that a bench chose is lost with what was added beside it.
 */
export function checkSettings(kept: unknown): Settings {
  const given = recordOf(kept);
  const keys = recordOf(given.keys);
  const keyOf = (action: KeyAction): string => {
    const key = keys[action];
    return typeof key === 'string' && [...key].length === 1 ? key : DEFAULT_KEYS[action];
  };
  const scale = given.printScale;
  return {
    unit: given.unit === 'in' ? 'in' : 'mm',
    // An older version called it the lamp.
    theme: given.theme === 'dark' || given.theme === 'lamp' ? 'dark' : given.theme === 'light' ? 'light' : 'system',
    singleKeys: given.singleKeys !== false,
    keys: Object.fromEntries(KEY_ACTIONS.map((action) => [action, keyOf(action)])) as Settings['keys'],
    priors: given.priors ?? undefined,
    requirements: given.requirements ?? undefined,
    limits: given.limits ?? undefined,
    toBeHad: given.toBeHad === 'belts' || given.toBeHad === 'rings' ? given.toBeHad : 'both',
    bands: given.bands !== false,
    askBy: given.askBy === 'test' ? 'test' : 'minute',
    lubricant: LUBRICANT_RULES.find((one) => one === given.lubricant) ?? 'unknown',
    printScale: typeof scale === 'number' && scale > 0.5 && scale < 2 ? scale : 1,
    benchName: typeof given.benchName === 'string' ? given.benchName.slice(0, BENCH_NAME_MAX) : '',
    copiedAt: typeof given.copiedAt === 'string' ? given.copiedAt.slice(0, 40) : '',
  };
}

const slice = createSlice({
  name: 'settings',
  initialState: DEFAULT_SETTINGS,
  reducers: {
    settingsLoaded: (_state, { payload }: PayloadAction<unknown>) => checkSettings(payload),
    unitChosen(state, { payload }: PayloadAction<LengthUnit>) {
      state.unit = payload;
    },
    themeChosen(state, { payload }: PayloadAction<Theme>) {
      state.theme = payload;
    },
    singleKeysSwitched(state, { payload }: PayloadAction<boolean>) {
      state.singleKeys = payload;
    },
    priorsSet: (state, { payload }: PayloadAction<Priors>) => ({ ...state, priors: payload }),
    askBySet: (state, { payload }: PayloadAction<Settings['askBy']>) => ({ ...state, askBy: payload }),
    lubricantSet: (state, { payload }: PayloadAction<LubricantRuleId>) => ({ ...state, lubricant: payload }),
    bandsSwitched: (state, { payload }: PayloadAction<boolean>) => ({ ...state, bands: payload }),
    toBeHadSet: (state, { payload }: PayloadAction<ToBeHad>) => ({ ...state, toBeHad: payload }),
    requirementsSet: (state, { payload }: PayloadAction<Requirements>) => ({ ...state, requirements: payload }),
    printScaleSet(state, { payload }: PayloadAction<number>) {
      state.printScale = payload;
    },
    benchNamed(state, { payload }: PayloadAction<string>) {
      state.benchName = payload.slice(0, BENCH_NAME_MAX);
    },
    copySaved(state, { payload }: PayloadAction<string>) {
      state.copiedAt = payload;
    },
    keyBound(state, { payload }: PayloadAction<{ action: KeyAction; key: string }>) {
      state.keys[payload.action] = payload.key;
    },
  },
});

export const {
  benchNamed,
  copySaved,
  settingsLoaded,
  unitChosen,
  themeChosen,
  singleKeysSwitched,
  keyBound,
  priorsSet,
  requirementsSet,
  askBySet,
  lubricantSet,
  bandsSwitched,
  toBeHadSet,
  printScaleSet,
} = slice.actions;
export const settingsReducer = slice.reducer;
