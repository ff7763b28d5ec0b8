export {
  forShapes,
  liesWhere,
  SECTION_SHAPES,
  shapeOf,
  SHAPES,
  shapeSaid,
  shapeUnsaid,
  USUAL_SHAPE,
  type SectionShape,
} from './all';
export type { ShapeRecord } from './record';
export { parseBeltSize, parseRingSection, type BeltSize, type KnownSection } from './beltSize';
export { beltLabel } from './beltLabel';
