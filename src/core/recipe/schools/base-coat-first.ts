import { type School } from './school.ts';

export const baseCoatFirst: School = {
  id: 'base-coat-first',
  name: 'base coat first',
  says: 'The lightest everywhere, then the darkest, then the mid, then the lightest again over all.',
  costs: 'Blends easily; the shadows end a little paler.',
  sketch: [
    { id: 'base', role: 'light', pressure: 'light', passes: 1, from: 0, to: 1, purpose: 'Base coat over all of it, so that later layers glide.', bands: 1 },
    { id: 'shadow', role: 'dark', pressure: 'medium', passes: 2, from: 0, to: 0.34, purpose: 'Sets the shadow, darkest at the edge.', bands: 2 },
    { id: 'middle', role: 'mid', pressure: 'medium', passes: 2, from: 0, to: 0.68, purpose: 'Pulls the shadow out into the middle.', bands: 1 },
    { id: 'deepen', role: 'dark', pressure: 'firm', passes: 1, from: 0, to: 0.18, purpose: 'Puts the deepest dark back.', bands: 3 },
    { id: 'unify', role: 'light', pressure: 'firm', passes: 1, from: 0.25, to: 0.92, purpose: 'Unifies the family; the highlight stays as it is.', bands: 2 },
  ],
};
