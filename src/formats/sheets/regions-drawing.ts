/** A region as it is drawn: its id, and its rings as x, y, x, y, ... in pixels, the outer one first. */
export interface DrawnRegion {
  id: number;
  rings: readonly Float64Array[];
}

/** Regions that are drawn together under one name; regions in no thing have an empty one. */
export interface DrawnGroup {
  name: string;
  regions: readonly DrawnRegion[];
}

/**
 * Writes the regions of a page as SVG in real millimetres: one group a thing, from back to front, one path a region.
 * Neighbours share their edge.
 * @param groups from what lies behind to what lies in front
 */
export function regionsDrawing(
  { title, widthMm, heightMm, pixelsPerMm }: { title: string; widthMm: number; heightMm: number; pixelsPerMm: number },
  groups: readonly DrawnGroup[],
): string {
  const mm = (px: number) => String(Math.round((100 * px) / pixelsPerMm) / 100);
  const path = ({ id, rings }: DrawnRegion) => {
    const d = rings
      .map((ring) => {
        const points: string[] = [];
        for (let k = 0; k < ring.length; k += 2) points.push(`${mm(ring[k]!)} ${mm(ring[k + 1]!)}`);
        return `M${points.join('L')}Z`;
      })
      .join('');
    return `    <path id="region-${id}" d="${d}"/>`;
  };
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">`,
    `  <title>${escaped(title)}</title>`,
    ...groups.flatMap(({ name, regions }) => [
      '  <g fill="none" stroke="#000" stroke-width="0.15" fill-rule="evenodd">',
      ...(name ? [`    <title>${escaped(name)}</title>`] : []),
      ...regions.map(path),
      '  </g>',
    ]),
    '</svg>',
    '',
  ].join('\n');
}

function escaped(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
}
