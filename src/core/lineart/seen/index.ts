/** seen: what lies on the regions of a page before anything is planned, read from its picture in colour. */
export { type SeenGround, type SeenPage, readSeen } from './seen-grounds.ts';
