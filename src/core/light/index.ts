/** light: the form of each thing and all the light that falls on it, as fields per pixel. */
export { type Form, FORMS, formById } from './forms/index.ts';
export { type Glow, type Lighting, checkLighting } from './lighting.ts';
export type { MainLight } from './schemas.ts';
export { type Field, type FieldValue, FIELDS, MOST_SOURCES, valueAtStep } from './fields.ts';
export { type FormedThing, type PageGeometry, type Source, coarsePage, coarsePageOf } from './page.ts';
export { type DrawnReflection, drawnReflections } from './drawn-reflections.ts';
export { mirroredAt, reflectivity, sourcesOf } from './reflections.ts';
export { type Highlight } from './highlights.ts';
export { type Finish, FINISHES, finishById } from './finishes/index.ts';
export { finishOf } from './finish-of.ts';
export { type FieldSamples, sampleFields, sampledByte, sampledPlaces } from './field-samples.ts';
export { type PageFields, lightOfPage, pageFields } from './page-fields.ts';
export { type GlowContrast, glowContrasts } from './glow-contrast.ts';
export { formSketch } from './form-sketch.ts';
export { shadeOf } from './shade.ts';
export { proposeForm } from './propose-form.ts';
export { type HighlightEdge, type Material, MATERIALS, materialOf } from './materials.ts';
