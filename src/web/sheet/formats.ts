/** Page sizes to choose from, mm, in portrait. */
export const FORMATS = [
  { id: 'a4', name: 'A4 sheet', width: 210, height: 297 },
  { id: 'a5', name: 'A5 card', width: 148, height: 210 },
  { id: 'a3', name: 'A3 poster', width: 297, height: 420 },
  { id: 'square-210', name: 'square book, 210 mm', width: 210, height: 210 },
  { id: 'square-250', name: 'square book, 250 mm', width: 250, height: 250 },
  { id: 'card', name: 'folded card front', width: 105, height: 148 },
] as const;

/** The format, turned as the picture is, whose sides come within 1 mm; undefined for any other size. */
export function formatOf(widthMm: number, heightMm: number) {
  return FORMATS.find(
    ({ width, height }) =>
      (Math.abs(width - widthMm) < 1 && Math.abs(height - heightMm) < 1) ||
      (Math.abs(height - widthMm) < 1 && Math.abs(width - heightMm) < 1),
  );
}

/** How far a size is out of shape with its picture: 0.03 is 3% too wide or too high. */
export function outOfShape(picture: { width: number; height: number }, widthMm: number, heightMm: number): number {
  const ratio = widthMm / heightMm / (picture.width / picture.height);
  return Math.max(ratio, 1 / ratio) - 1;
}
