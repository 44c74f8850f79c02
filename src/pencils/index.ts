/** pencils: the pencils and papers of a tray as core computes with them. */
export { type StoredPencil, asTrayPencil } from './as-tray-pencil.ts';
export { type PaperModel, paperModelOf, withLearnt } from './paper-model.ts';
export { type TrayReadings, readingsOf } from './read-pencils.ts';
