/** makers: who really lays pencils in the benchmarks, one file each, none by the product's layer model. */
import { demoMaker } from './demo-maker.ts';
import { heightField } from './height-field.ts';
import { lastingValleys } from './lasting-valleys.ts';
import { type Maker } from './maker.ts';

export { type Label, type Maker } from './maker.ts';
/** Every maker; the demo's first. */
export const MAKERS: readonly Maker[] = [demoMaker, heightField, lastingValleys];
