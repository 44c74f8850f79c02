import { X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useDesk } from '../desk/desk-context.ts';
import { usePreview } from '../desk/use-preview.ts';

/** Side of the pane, CSS pixels, and of what it shows, mm. */
const PANE = 264;
const SHOWN_MM = 12;

/** A piece of the page enlarged, at the real grain of its paper. */
export function CloseUp(props: {
  /** The middle of what is shown, mm of the page. */
  at: { x: number; y: number };
  upTo: Readonly<Record<string, number>>;
  onClose(): void;
}) {
  const { at, upTo, onClose } = props;
  const { picture, pixelsPerMm, use } = useDesk();
  const preview = usePreview(upTo, true);
  const canvas = useRef<HTMLCanvasElement>(null);
  const { x, y } = at;
  useEffect(() => {
    const target = canvas.current;
    if (!target) return;
    const dots = window.devicePixelRatio || 1;
    target.width = target.height = PANE * dots;
    const context = target.getContext('2d')!;
    const scale = (PANE * dots) / (SHOWN_MM * pixelsPerMm);
    context.fillStyle = use.paper.tint;
    context.fillRect(0, 0, target.width, target.height);
    context.setTransform(
      scale,
      0,
      0,
      scale,
      -(x - SHOWN_MM / 2) * pixelsPerMm * scale,
      -(y - SHOWN_MM / 2) * pixelsPerMm * scale,
    );
    if (preview) context.drawImage(preview.picture, 0, 0, picture.width, picture.height);
    context.globalCompositeOperation = 'multiply';
    context.drawImage(picture, 0, 0);
    context.globalCompositeOperation = 'lighter';
    if (preview?.overInk) context.drawImage(preview.overInk, 0, 0, picture.width, picture.height);
  }, [preview, picture, pixelsPerMm, x, y, use]);
  return (
    <figure className="absolute top-3 right-3 border border-ink bg-leaf shadow-lg" aria-label="Enlarged">
      <canvas
        ref={canvas}
        style={{ width: PANE, height: PANE }}
        role="img"
        aria-label={`The page enlarged round ${x.toFixed(0)}, ${y.toFixed(0)} mm`}
      />
      <figcaption className="flex items-center justify-between px-2 text-sm text-soft">
        <span>{preview ? `${SHOWN_MM} mm wide, grain as it is` : 'painting it finely'}</span>
        <button
          type="button"
          aria-label="Close the enlarged piece"
          className="flex h-8 w-8 items-center justify-center hover:bg-card"
          onClick={onClose}
        >
          <X size={15} aria-hidden />
        </button>
      </figcaption>
    </figure>
  );
}
