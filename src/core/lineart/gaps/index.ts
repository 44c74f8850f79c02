/** gaps: where the outlines of a page gape, and the lines that close them. */
export { type OpenGap, drawLine, findGaps } from './find-gaps.ts';
