import { Printer } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { createPortal } from 'react-dom';
import type { Thing } from '../../contracts/index.ts';
import { type Layer, cautionsOf, zoneMm, zoneWords } from '../../core/recipe/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { useZonePicture } from '../desk/use-light-pictures.ts';
import { Button } from '../parts/index.ts';

/** What fits on a printed sheet beside the words, mm. */
const FITS = { wide: 180, high: 200 };
const MARGIN_MM = 6;

/** Where one layer goes, printed at true scale with rulers, to lie beside the page. */
export function ZoneGuide({ thing, layer, number }: { thing: Thing; layer: Layer; number: number }) {
  const { sheet, page, pencilById, picture, pixelsPerMm } = useDesk();
  const zone = useZonePicture(thing.regionIds, layer.zone);
  const canvas = useRef<HTMLCanvasElement>(null);
  const pencil = pencilById.get(layer.pencil);
  const { widthMm, heightMm } = sheet.plan.page;
  const own = thing.regionIds.flatMap((id) => page?.regions[id - 1] ?? []);
  const on = (value: number, most: number) => Math.min(most, Math.max(0, value));
  const left = Math.floor(on(Math.min(...own.map(({ box }) => box.left)) - MARGIN_MM, widthMm));
  const top = Math.floor(on(Math.min(...own.map(({ box }) => box.top)) - MARGIN_MM, heightMm));
  const wide = on(Math.max(...own.map(({ box }) => box.right)) + MARGIN_MM, widthMm) - left;
  const high = on(Math.max(...own.map(({ box }) => box.bottom)) + MARGIN_MM, heightMm) - top;
  const scale = Math.min(1, FITS.wide / wide, FITS.high / high);
  useEffect(() => {
    const target = canvas.current;
    if (!target || !zone) return;
    target.width = Math.round(wide * pixelsPerMm);
    target.height = Math.round(high * pixelsPerMm);
    const context = target.getContext('2d')!;
    context.fillStyle = '#fff';
    context.fillRect(0, 0, target.width, target.height);
    context.translate(-left * pixelsPerMm, -top * pixelsPerMm);
    context.drawImage(zone, 0, 0, picture.width, picture.height);
    context.globalCompositeOperation = 'multiply';
    context.drawImage(picture, 0, 0);
  }, [zone, picture, pixelsPerMm, left, top, wide, high]);
  return (
    <>
      <Button look="bare" className="px-0!" onClick={() => window.print()} disabled={!zone}>
        <Printer size={16} aria-hidden /> Print where it goes
      </Button>
      {createPortal(
        <div className="print-alone hidden bg-white p-4 text-black print:block" data-testid="zone-guide">
          <h1 className="text-xl">
            {sheet.title}: {thing.name}, layer {number}, {pencil?.code}
          </h1>
          <p className="mb-2 text-sm">
            {layer.purpose} {zoneWords(layer.zone)}, {layer.pressure},{' '}
            {layer.passes === 1 ? 'once' : `${layer.passes} times`}, {layer.stroke}
            {layer.direction && `, ${layer.direction}`}, {layer.point}. {zoneMm(layer.zone)}. Grey is where it goes, the
            darker the fuller; {scale === 1 ? 'at true scale' : `at ${Math.round(100 * scale)}% of true scale`}, marks
            every 5 mm.
          </p>
          {cautionsOf(layer, pencil?.type ?? '').map((caution) => (
            <p key={caution} className="mb-2 text-sm">
              {caution}
            </p>
          ))}
          <div className="relative ml-6 mt-6" style={{ width: `${wide * scale}mm`, height: `${high * scale}mm` }}>
            <canvas ref={canvas} className="h-full w-full" />
            <Ruler length={wide} from={left} scale={scale} />
            <Ruler length={high} from={top} scale={scale} upright />
          </div>
        </div>,
        document.body,
      )}
    </>
  );
}

/** Marks every 5 mm of the page along one side. */
function Ruler({ length, from, scale, upright }: { length: number; from: number; scale: number; upright?: boolean }) {
  const first = Math.ceil(from / 5) * 5;
  const marks = Array.from(
    { length: Math.max(0, Math.floor((from + length - first) / 5) + 1) },
    (_, k) => first + 5 * k,
  );
  return marks.map((mm) => {
    const at = `${(mm - from) * scale}mm`;
    const size = `${mm % 10 === 0 ? 3 : 1.6}mm`;
    return (
      <span
        key={mm}
        className="absolute bg-black text-[7pt]"
        style={
          upright
            ? { top: at, left: `-${size}`, width: size, height: '0.2mm' }
            : { left: at, top: `-${size}`, height: size, width: '0.2mm' }
        }
      >
        {mm % 10 === 0 && (
          <span
            className="absolute"
            style={upright ? { right: '3.4mm', top: '-1.4mm' } : { bottom: '3mm', left: '-1mm' }}
          >
            {mm}
          </span>
        )}
      </span>
    );
  });
}
