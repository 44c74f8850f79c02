import { type School } from './school.ts';

export const darkFirst: School = {
  id: 'dark-first',
  name: 'dark first',
  says: 'Mark the shadows, pull lighter pencils out over them, unify with the lightest.',
  costs: 'Strong values early; a dark that went too far is hard to take back.',
  sketch: [
    { id: 'shadow', role: 'dark', pressure: 'medium', passes: 2, from: 0, to: 0.38, purpose: 'Marks the shadow on bare paper.', bands: 2 },
    { id: 'middle', role: 'mid', pressure: 'medium', passes: 2, from: 0, to: 0.7, purpose: 'Pulled out over the shadow into the middle.', bands: 1 },
    { id: 'light', role: 'light', pressure: 'medium', passes: 1, from: 0.3, to: 0.94, purpose: 'Pulled out over the middle, up to the highlight.', bands: 1 },
    { id: 'unify', role: 'light', pressure: 'burnish', passes: 1, from: 0.15, to: 0.94, purpose: 'Burnishes the family together.', bands: 3 },
  ],
};
