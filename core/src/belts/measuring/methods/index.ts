import { gapBetween, outsideToOutside, shaftToShaft } from './centre';
import {
  doubledInner,
  doubledOuter,
  inPieces,
  laidStraight,
  lyingFree,
  onPins,
  overCap,
  printedDiameter,
  printedLength,
  twoCaps,
} from './oldBelt';
import {
  countedTravel,
  grooveDepthRod,
  grooveWidthJaws,
  scalePull,
  sectionAsThickAs,
  sectionAsUsual,
  sectionJaws,
  stalledMotor,
  stalledSlipping,
  widthJaws,
} from './sectionsAndPulls';
import { stringRound } from './path';
import { pulleyMethods } from './pulley';
import type { Method } from '../types';
import type { Measurand } from '../schema';

/** Every way of measuring, in the order in which the screen offers them. Adding one adds a file entry and a line here. */
export const METHODS: readonly Method[] = [
  sectionJaws,
  sectionAsThickAs,
  sectionAsUsual,
  widthJaws,
  grooveWidthJaws,
  grooveDepthRod,
  doubledOuter,
  overCap,
  laidStraight,
  onPins,
  doubledInner,
  twoCaps,
  lyingFree,
  inPieces,
  printedLength,
  printedDiameter,
  stringRound,
  ...pulleyMethods('motorDiameter'),
  ...pulleyMethods('drivenDiameter'),
  shaftToShaft,
  outsideToOutside,
  gapBetween,
  countedTravel,
  scalePull,
  stalledMotor,
  stalledSlipping,
];

const byId = new Map(METHODS.map((method) => [method.id, method]));

/** A method by its id. @returns undefined for an unknown id, as an imported file may carry. */
export const findMethod = (id: string): Method | undefined => byId.get(id);

/** The methods for one measurand, the usual one first. */
export const methodsFor = (measurand: Measurand): readonly Method[] =>
  METHODS.filter((method) => method.measurand === measurand);
