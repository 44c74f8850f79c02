/** contracts: what is stored or crosses a border, as Zod schemas and the types inferred from them. */
export * from './primitives.ts';
export * from './plan.ts';
export * from './sheet.ts';
export * from './reference.ts';
export * from './tray.ts';
export * from './palette.ts';
export * from './recipe-card.ts';
export * from './bench.ts';
export * from './record.ts';
export * from './demo.ts';
export * from './devices.ts';
export * from './settings.ts';
