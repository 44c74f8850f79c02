/** More than eight pencils in a family never help: not even on the widest sky is a hand as even as the steps between them. */
export const MOST_PENCILS = 8;

/** What a family may hold beside its own pencils. */
export const EXTRAS = ['blender', 'depth', 'accent', 'neutral'] as const;
export type Extra = (typeof EXTRAS)[number];

/**
 * Who a pencil is in its family: its own from dark to light, and what may stand beside them; or what it brings from
 * elsewhere: a neighbour's colour, that of a light, the white of a highlight.
 */
export const ROLES = ['dark', 'mid', 'light', ...EXTRAS, 'reflected', 'glow', 'white'] as const;
export type Role = (typeof ROLES)[number];
