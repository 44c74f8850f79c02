import { useEffect, useRef } from 'react';
import { useDesk } from '../desk/desk-context.ts';
import { type Gap } from './gaps.ts';

/** Millimetres of the page shown around a gap. */
const ACROSS_MM = 12;
const [WIDTH, HEIGHT] = [328, 216];

/** A gap enlarged, with the line that would close it. */
export function GapPicture({ gap, closed }: { gap: Gap; closed: boolean }) {
  const { picture, pixelsPerMm } = useDesk();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const dots = window.devicePixelRatio || 1;
    const element = canvas.current!;
    element.width = WIDTH * dots;
    element.height = HEIGHT * dots;
    const context = element.getContext('2d')!;
    const k = (WIDTH * dots) / (ACROSS_MM * pixelsPerMm);
    context.fillStyle = '#f4f3ef';
    context.fillRect(0, 0, element.width, element.height);
    context.setTransform(
      k,
      0,
      0,
      k,
      element.width / 2 - k * gap.at.x * pixelsPerMm,
      element.height / 2 - k * gap.at.y * pixelsPerMm,
    );
    context.globalCompositeOperation = 'multiply';
    context.drawImage(picture, 0, 0);
    context.globalCompositeOperation = 'source-over';
    for (const [stroke, width] of [
      ['#fff', 5],
      ['#000', 2.4],
    ] as const) {
      context.strokeStyle = stroke;
      context.lineWidth = (width * dots) / k;
      context.setLineDash(closed ? [] : [(5 * dots) / k, (4 * dots) / k]);
      context.beginPath();
      context.moveTo(gap.from.x * pixelsPerMm, gap.from.y * pixelsPerMm);
      context.lineTo(gap.to.x * pixelsPerMm, gap.to.y * pixelsPerMm);
      context.stroke();
    }
    context.strokeStyle = '#000';
    context.setLineDash([]);
    context.lineWidth = (1.2 * dots) / k;
    context.beginPath();
    context.arc(gap.at.x * pixelsPerMm, gap.at.y * pixelsPerMm, 1.8 * pixelsPerMm, 0, 2 * Math.PI);
    context.stroke();
  }, [gap, closed, picture, pixelsPerMm]);
  return (
    <canvas
      ref={canvas}
      data-testid="gap"
      role="img"
      aria-label={`The page around the gap, ${ACROSS_MM} mm across`}
      className="w-full border border-edge"
      style={{ aspectRatio: `${WIDTH} / ${HEIGHT}` }}
    />
  );
}
