import { X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useCloseUp } from '../desk/use-preview.ts';

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
  const dots = window.devicePixelRatio || 1;
  const piece = useCloseUp(upTo, at, SHOWN_MM, Math.round(PANE * dots));
  const canvas = useRef<HTMLCanvasElement>(null);
  const { x, y } = at;
  useEffect(() => {
    const target = canvas.current;
    if (!target || !piece) return;
    target.width = target.height = piece.width;
    target.getContext('2d')!.drawImage(piece, 0, 0);
  }, [piece]);
  return (
    <figure className="absolute top-3 right-3 border border-ink bg-leaf shadow-lg" aria-label="Enlarged">
      <canvas
        ref={canvas}
        style={{ width: PANE, height: PANE }}
        role="img"
        aria-label={`The page enlarged round ${x.toFixed(0)}, ${y.toFixed(0)} mm`}
      />
      <figcaption className="flex items-center justify-between px-2 text-sm text-soft">
        <span>{piece ? `${SHOWN_MM} mm wide, grain as it is` : 'painting it finely'}</span>
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
