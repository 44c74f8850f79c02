import { type Highlight } from '../../core/light/index.ts';

const EDGES: Record<Highlight['edge'], string> = {
  hard: 'with a hard edge: no layer enters',
  soft: 'with a soft edge: the lightest whispers in',
};

/** How many highlights a thing has, how large they are and how they end; nothing where there are none. */
export function highlightWords(highlights: readonly Highlight[]): string | null {
  const [first] = highlights;
  if (!first) return null;
  const edge = EDGES[first.edge];
  if (highlights.length === 1) {
    const { lengthMm, widthMm } = first;
    return `A highlight of about ${lengthMm.toFixed(1)} by ${widthMm.toFixed(1)} mm, ${edge}.`;
  }
  const widths = highlights.map(({ widthMm }) => widthMm);
  const [least, most] = [Math.min(...widths).toFixed(1), Math.max(...widths).toFixed(1)];
  return `${highlights.length} highlights, ${least === most ? least : `${least} to ${most}`} mm wide, ${edge}.`;
}
