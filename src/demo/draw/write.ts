import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { ferryStepsThings, markOf } from '../ferry-steps.ts';
import { drawFerrySteps } from './ferry-steps.ts';

/** Draws the demo sheets and their keys to committed SVG files: `npm run draw`. */
const at = (name: string) => fileURLToPath(new URL(`../sheets/${name}`, import.meta.url));
const page = drawFerrySteps();
writeFileSync(at('ferry-steps.svg'), page.toSvg('The Ferry Steps'));
writeFileSync(
  at('ferry-steps.key.svg'),
  page.toKeySvg((thing) => markOf(ferryStepsThings, thing)),
);
