/** gaps: where the outlines of a page gape, and the lines that close them. */
export { type OpenGap, closeSureGaps, drawLine } from './close-gaps.ts';
