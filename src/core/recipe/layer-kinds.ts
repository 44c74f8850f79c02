import type { Layer } from './schemas.ts';
import { type Role } from './roles.ts';

/** A layer that many effects lay, by the id that it has in all of them. */
export interface LayerKind {
  id: string;
  /** What it is worth in its recipe when time is short, 0..1. Assumption: what the eye misses least goes first. */
  worth: number;
  /** Whether it is never left out. */
  stays: boolean;
}

const shadow: LayerKind = { id: 'shadow', worth: 1, stays: true };
const base: LayerKind = { id: 'base', worth: 0.75, stays: false };
const light: LayerKind = { id: 'light', worth: 0.75, stays: false };
const unify: LayerKind = { id: 'unify', worth: 0.6, stays: false };
const deepen: LayerKind = { id: 'deepen', worth: 0.4, stays: false };

export const LAYER_KINDS: readonly LayerKind[] = [shadow, base, light, unify, deepen];

/** What layers of no kind are worth by what their pencil does there; 1 for the others. */
const WORTH_OF_ROLE: Partial<Record<Role, number>> = {
  glow: 0.7,
  mid: 0.5,
  depth: 0.35,
  neutral: 0.25,
  reflected: 0.25,
  accent: 0.2,
};

/** What a layer is worth in its recipe, 0..1. */
export function worthOf({ id, role }: Pick<Layer, 'id' | 'role'>): number {
  return LAYER_KINDS.find((kind) => kind.id === id)?.worth ?? WORTH_OF_ROLE[role] ?? 1;
}

/** Whether a layer stays in its recipe however short the time is. */
export function alwaysStays({ id }: Pick<Layer, 'id'>): boolean {
  return LAYER_KINDS.some((kind) => kind.id === id && kind.stays);
}
