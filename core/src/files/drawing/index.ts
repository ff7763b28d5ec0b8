export { draftBar, draftBelt, draftDrive, extentOf, tiles, type Tile } from './draw';
export { draftGear, type Bore } from './gear';
export { alongOf, draftScale, gapAt } from './scale';
export { svgOf, writeDxf, writeSvg } from './write';
export type { Drafting, Extent, Figure } from './types';
