/** formats: reading and writing open formats. */
export { type PencilRow, type ReadPencils, readPencilRows } from './pencil-csv.ts';
export { type DrawnGroup, type DrawnRegion, regionsSvg } from './regions-svg.ts';
