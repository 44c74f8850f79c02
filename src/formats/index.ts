/** formats: the kinds of file that something is taken away as or brought in from; one definition each, listed by what it holds. */
export { type FileFormat, type NamedText, type ReadableFormat, acceptedBy, fileOf, safeName } from './file-format.ts';
export { csvOf } from './csv-text.ts';
export { type PaletteContent, type PaletteFormat, PALETTE_FORMATS, readPalette } from './palettes/index.ts';
export { type RecipeContent, RECIPE_FORMATS, readRecipe } from './recipes/index.ts';
export { type SheetPart, type WholeSheet, SHEET_PARTS } from './sheets/index.ts';
export { type ReadPencils, TRAY_FORMATS, readPencils } from './trays/index.ts';
