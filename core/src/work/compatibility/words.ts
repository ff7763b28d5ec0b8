import { type Dirt, type Effect, type Grade, type Material } from './schema';

export const MATERIAL_NAMES: Readonly<Record<Material, string>> = {
  unknown: 'unknown',
  copperAlloy: 'brass or bronze',
  steel: 'steel',
  aluminium: 'aluminium',
  acetal: 'acetal',
  nylon: 'nylon',
  abs: 'ABS',
  polystyrene: 'polystyrene',
  polycarbonate: 'polycarbonate',
  acrylic: 'acrylic',
  glass: 'glass',
  coatedLens: 'a coated lens',
  painted: 'paint or print',
  nitrile: 'nitrile rubber',
  chloroprene: 'chloroprene rubber',
  naturalRubber: 'natural rubber',
  ethylenePropylene: 'ethylene-propylene rubber',
  siliconeRubber: 'silicone rubber',
  polyurethane: 'polyurethane',
};

export const DIRT_NAMES: Readonly<Record<Dirt, string>> = {
  fluff: 'fluff or dust',
  oily: 'oily',
  glazed: 'glazed',
  hardenedGrease: 'hardened grease',
  residue: 'belt residue',
  sludge: 'sludge',
  corroded: 'corroded',
  sticky: 'sticky',
  dry: 'dry, needs a lubricant',
};

export const GRADE_NAMES: Readonly<Record<Grade, string>> = {
  fine: 'fine',
  brief: 'a brief wipe, tried where it does not show',
  no: 'no',
  unknown: 'unknown: try where it does not show',
};

export const EFFECT_NAMES: Readonly<Record<Effect, string>> = {
  takes: 'takes it off',
  loosens: 'loosens it',
  nothing: 'does nothing to it',
};
