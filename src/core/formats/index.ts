/** formats: reading and writing open formats. */
export { type PencilRow, type ReadPencils, CSV_COLUMNS, readPencilRows } from './pencil-csv.ts';
export { type DrawnGroup, type DrawnRegion, regionsSvg } from './regions-svg.ts';
export { type PaletteColour, gplOf, readGpl } from './palette-gpl.ts';
