import { type FormedThing, type Lighting } from '../../../core/light/index.ts';

/** A page by its things and lights, looked at every so many pixels. */
export interface LitPageInput {
  key: string;
  things: readonly FormedThing[];
  lighting: Lighting;
  step: number;
}
