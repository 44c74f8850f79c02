/**
 * Grows labels through the ink to the middle of each line, so that neighbours touch. White paper that is no region
 * grows too and keeps its NO_REGION, so that colour never runs over a line into the margin. Grows one pixel at a time from
 * all labels at once, by edges and corners in turn, which keeps the front near a circle. A pixel that two labels reach
 * in the same step goes to the smaller, so that the line between them is straight.
 * @param labels 0 on ink
 * @param reachPx how far a label may grow; solid black shapes wider than twice this keep an unlabelled middle
 * @returns a new array; `labels` is not changed
 */
export function growLabels(labels: Uint16Array, width: number, height: number, reachPx: number): Uint16Array {
  const grown = labels.slice();
  const reachedAt = new Uint16Array(grown.length);
  let front: number[] = [];
  for (let i = 0; i < grown.length; i++) if (grown[i] && touchesNone(grown, i, width, height)) front.push(i);
  for (let step = 1; step <= reachPx && front.length; step++) {
    const next: number[] = [];
    const corners = step % 2 === 0;
    for (const i of front) {
      const x = i % width;
      const y = (i - x) / width;
      for (let dy = -1; dy <= 1; dy++) {
        for (let dx = -1; dx <= 1; dx++) {
          if ((dx === 0) === (dy === 0) && !(corners && dx !== 0)) continue;
          const nx = x + dx;
          const ny = y + dy;
          if (nx < 0 || ny < 0 || nx >= width || ny >= height) continue;
          const j = ny * width + nx;
          if (!grown[j]) {
            grown[j] = grown[i];
            reachedAt[j] = step;
            next.push(j);
          } else if (reachedAt[j] === step && grown[i] < grown[j]) {
            grown[j] = grown[i];
          }
        }
      }
    }
    front = next;
  }
  return grown;
}

function touchesNone(labels: Uint16Array, i: number, width: number, height: number): boolean {
  const x = i % width;
  const y = (i - x) / width;
  return (
    (x > 0 && !labels[i - 1]) ||
    (x < width - 1 && !labels[i + 1]) ||
    (y > 0 && !labels[i - width]) ||
    (y < height - 1 && !labels[i + width])
  );
}
