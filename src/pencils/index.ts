/** pencils: the pencils and papers of a tray as core computes with them. */
export { type StoredPencil, asTrayPencil } from './as-tray-pencil.ts';
export { type PaperInUse, paperInUse, withLearnt } from './paper-in-use.ts';
export { type TrayReadings, readingsOf } from './read-pencils.ts';
