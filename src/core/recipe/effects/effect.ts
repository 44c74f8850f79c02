import { type Lab } from '../../colour/index.ts';
import { type Field, type Material } from '../../light/index.ts';
import { type LitRegion } from '../covered.ts';
import type { Family, Layer } from '../schemas.ts';
import { type Pull } from '../strokes.ts';
import { type School } from '../schools/index.ts';

/** What a recipe must know of the thing that it is for. */
export interface RegionContext {
  /** Each region that it is laid on; at least one. */
  regions: readonly LitRegion[];
  /** Whether it matters little, so that layers which only refine it are not worth laying. Default not. */
  minor?: boolean;
  /** From the top of the thing to its foot, mm. Default its usual width. */
  heightMm?: number;
  /** From its middle as far out as it goes, mm. Default half its usual width. */
  outMm?: number;
  /** Whether a background is palest at its foot, as a sky is, or at its top, as water is. Default at its foot. */
  palest?: 'foot' | 'top';
  /** Heights at which things in front cross it, 0 (top) to 1 (foot), widest first: places to hide a blend line. Default none. */
  crossings?: readonly number[];
  /** How far off it lies in a scene, 0 the nearest to 1 the farthest. Default no scene. */
  far?: number;
  /** What it is a limb of, where it lies behind that. Default nothing. */
  limbBehind?: string;
  /** Names of lettering that stands before it, so that its colour fades there. Default none. */
  lettering?: readonly string[];
  /** Id of its form. Default unknown. */
  form?: string;
  /** What is to become of the marks that the artist drew in it. Default nothing said. */
  marks?: 'follow' | 'ignore';
  /** The glow that falls on it: how far that reaches, and a pencil of its colour. Default none. */
  glow?: { reachMm: number; pencil: string | null; warm: boolean };
  /** Whether one light falls from a side, so that what turns away from it has a rim of reflected light. Default not. */
  directLight?: boolean;
  /** Whose colours it shows, in the order of its sources, with a pencil of each. Default none. */
  shown?: readonly { name: string; pencil: string | null }[];
  /** How a pencil comes out on the paper when laid medium, and what type it is. Default unknown. */
  labOf?(pencil: string): Lab | undefined;
  typeOf?(pencil: string): string | undefined;
  /** How much a pencil covers, 0..1. Default unknown, and taken to cover. */
  opacityOf?(pencil: string): number | undefined;
  /** L* of the paper, and a white pencil that covers, where the tray has one. Default white paper. */
  paperValue?: number;
  white?: string | null;
}

/** What an effect comes to for one thing. */
export interface EffectLayers {
  layers: Layer[];
  /** What was left out or done otherwise for want of room or pencils, in sentences. */
  notes: readonly string[];
}

/** What light does to a thing, as far as its effect depends on it. */
export interface LightOnThing {
  /** A glow that falls on it: whether that is warm, and how much of the thing it reaches, 0..1. */
  glow: { warm: boolean; share: number } | null;
  /** Whether it stands before a light. */
  backlit: boolean;
  /** Id of its form. Default unknown. */
  form?: string;
}

/** What is meant to be smooth shows no more of the paper than this, 0..1. */
export const SMOOTH = 0.04;

/** An effect: what a family of pencils is made to look like. */
export interface Effect {
  id: string;
  name: string;
  says: string;
  /** What it is one way of, where effects nearly coincide, and what this way is called beside the others. */
  choice?: { of: string; called: string };
  /** Ids of the materials that it is proposed for. */
  suits: readonly string[];
  /** Whether just this light or form asks for it, before all that suits the material. Default none does. */
  isAsked?(lit: LightOnThing, material: Material | undefined): boolean;
  /** Which way its colours are pulled where they fade; default the darks out into the light, the lights into the dark. */
  pulls?: Pull;
  /** Whether it is laid in the order of the school; others have an order of their own. */
  bySchool: boolean;
  /**
   * Share of the paper that may show, 0..1, where more than a whisper is laid: little where it is to be smooth, much where
   * the grain of the paper is its texture.
   */
  leavesBare: number;
  /** The field at whose end its highlight stays as it is, where no layer enters that. */
  reserves?: Field;
  /** Whether it is pale in shadow too, so that it needs no step in value. */
  pale?: boolean;
  /** Whether it is a light in its surroundings, or a metal whose value jumps. */
  glows?: boolean;
  jumps?: boolean;
  /** Whether opposites are laid in it to go neutral together. */
  goesNeutral?: boolean;
  /** How it shines, id of a finish, whatever it is made of. Default by its material. */
  finish?: string;
  /** @param school of no meaning where the effect has an order of its own */
  lay(school: School, family: Family, context: RegionContext): EffectLayers;
}
