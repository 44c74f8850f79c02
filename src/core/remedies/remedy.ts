import { type Lab } from '../colour/index.ts';
import { type MistakeKind } from './mistakes/index.ts';
import { type Ground, type PencilOptics, type Pressure } from '../laydown/index.ts';

/** A place where something went wrong. */
export interface Mistake {
  kind: MistakeKind;
  /** What lay there before. */
  before: Ground;
  /** What lies there now. */
  now: Ground;
  /** What should be seen there. */
  wanted: Lab;
  /** The pencil that did it. */
  pencil: string;
  /** Pencils that may be laid over it, those of the place's own family first. */
  pencils: readonly { id: string; code: string; optics: PencilOptics }[];
  /** Opaque pens that lie beside the pencils. */
  pens: readonly { id: string; name: string; lab: Lab }[];
  /** Other things where a little of the pencil's colour would look meant, the likeliest first. */
  elsewhere: readonly { id: string; name: string }[];
}

/** What a remedy comes to at one place. */
export interface Advice {
  /** What to do, in one or two sentences. */
  says: string;
  /** How far what is seen lies from what should be, CIEDE2000, afterwards. */
  apart: number;
  /** The steps that it comes to. */
  does: readonly Deed[];
}

/** One step of a remedy. */
export interface Deed {
  /** The thing that it is done on; null: where the mistake is. */
  thingId: string | null;
  /** The pencil that is laid, or that a tool works. */
  pencil: string;
  tool?: string;
  pressure: Pressure;
  passes: number;
  /** At once, or once all else on its thing is done. */
  when: 'next' | 'last';
  /** What it is for, where that is not what the remedy says. */
  purpose?: string;
}

export interface Remedy {
  id: string;
  name: string;
  /** Null where it is of no use here. */
  advise(mistake: Mistake): Advice | null;
}
