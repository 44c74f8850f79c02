/** light: the form of each thing and the light that falls on it, as fields per pixel. */
export { type Form, FORMS, formById } from './forms/index.ts';
export { type Light, type RegionGeometry, regionFields } from './region-fields.ts';
export { type FormedThing, type PageGeometry, pageTone } from './page-tone.ts';
export { proposeForm } from './propose-form.ts';
export { type Material, MATERIALS } from './materials.ts';
