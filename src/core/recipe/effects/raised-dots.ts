import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Small raised dots, studs, beads: a reserved spot, a shade on the far side, a line of dark under it. */
export const raisedDots: Effect = {
  id: 'raised-dots',
  name: 'raised dots',
  says: 'A spot stays paper on the light’s side, the far side is shaded, and a dark line under it lifts it off the page.',
  suits: [],
  bySchool: false,
  leavesBare: SMOOTH,
  reserves: 'tone',
  lay(_school, { pencils, depth }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
    const fine = { point: 'sharp', stroke: 'following the contour', bands: 1 } as const;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        ...fine,
        from: 0,
        to: 0.84,
        edge: 'hard',
        purpose: 'Over all but a spot on the light’s side: reserve that first.',
      },
      ...(pencils.length > 2
        ? [
            {
              id: 'middle',
              role: 'mid' as const,
              pencil: body,
              pressure: 'medium' as const,
              passes: 1,
              ...fine,
              from: 0,
              to: 0.56,
              purpose: 'The dot’s own colour.',
            },
          ]
        : []),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 1,
        ...fine,
        from: 0,
        to: 0.3,
        purpose: 'A crescent on the far side.',
      },
      {
        id: 'deepen',
        role: depth ? 'depth' : 'dark',
        pencil: depth ?? dark,
        pressure: 'firm',
        passes: 1,
        ...fine,
        from: 0,
        to: 0.1,
        edge: 'hard',
        bands: 2,
        purpose: 'A thin dark line under it.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
