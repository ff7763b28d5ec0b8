/** Something that lies in most houses, and how thick it is. */
export interface ThickAs {
  readonly id: string;
  readonly name: string;
  readonly thicknessMm: number;
}

/** The section of most small square belts, for when nobody has looked. Common practice, no source. */
export const USUAL_SECTION_MM = 1.2;

/**
 * What a belt may be held beside where there is no caliper, thin to thick. A bank card is 0.76 mm thick (ISO/IEC
 * 7810:2019, 5.1.3); ten sheets of 80 g/m² office paper are about 1.0 mm; the others are common practice, from memory,
 * no source.
 */
export const THICK_AS: readonly ThickAs[] = [
  { id: 'bankCard', name: 'a bank card', thicknessMm: 0.76 },
  { id: 'tenSheets', name: 'ten sheets of office paper', thicknessMm: 1 },
  { id: 'paperClip', name: 'the wire of a large paper clip', thicknessMm: 1.2 },
  { id: 'twoCards', name: 'two bank cards', thicknessMm: 1.52 },
  { id: 'matchstick', name: 'a matchstick', thicknessMm: 2 },
  { id: 'threeCards', name: 'three bank cards', thicknessMm: 2.28 },
  { id: 'fourCards', name: 'four bank cards', thicknessMm: 3.04 },
];
