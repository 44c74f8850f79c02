/** kit: pen, paper and hand: paths, a page drawn back to front, and the textures that an artist hints. */
export * from './path.ts';
export { type Gap, type Placing, Drawing } from './drawing.ts';
export { type Hint, stipple, ticks } from './texture.ts';
