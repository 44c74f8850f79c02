import { useRef, useState } from 'react';
import { type ColourWheel, type Lab, hexOfLab, placeOn, ringOf, turn, turnBetween } from '../../core/colour/index.ts';
import { type Paper } from '../../core/laydown/index.ts';
import { HUB, RIM_CHROMA, ringRadius } from '../../core/preview/index.ts';
import type { Pencil } from '../../contracts/index.ts';
import { PixelCanvas } from '../parts/index.ts';
import { type LaidPencil, pencilJobs, useAnswer } from '../workers/index.ts';

/** Side of the disc in computed pixels. */
const DISC = 900;
/** Units of the drawing over it: the disc has radius 100. */
const RIM = 100;
const STEP_KEYS: Record<string, number> = {
  ArrowLeft: -5,
  ArrowDown: -5,
  ArrowRight: 5,
  ArrowUp: 5,
  PageDown: -30,
  PageUp: 30,
};

/** A colour of the page and how much of it has that colour. */
export interface PageColour {
  lab: Lab;
  hue: number;
  chroma: number;
  /** Share of the coloured area, 0..1. */
  share: number;
  /** What has it, in a few words. */
  says: string;
}

interface Props {
  paper: Paper;
  wheel: ColourWheel;
  /** Whether the disc shows rings of tints, full colours, tones and shades. */
  rings: boolean;
  anchor: number;
  /** Degrees of each hand from the anchor. */
  hands: readonly number[];
  /** Whether each hand turns by itself. */
  free: boolean;
  /** The page's colours, with their shares of the coloured area; shown instead of the pencils. */
  colours: readonly PageColour[] | null;
  /** Places that would help, degrees; dotted. */
  wanted: readonly number[];
  pencils: readonly Pencil[];
  laid: ReadonlyMap<string, LaidPencil>;
  /** Pencils of the palette, drawn larger. */
  inPlay: ReadonlySet<string>;
  onTurn(anchor: number): void;
  onHand(index: number, offset: number): void;
  onPencil(pencil: LaidPencil): void;
  /** Called with the pencil pointed at, or null. */
  onPoint(pencilId: string | null): void;
}

/** A wheel as laydowns, the tray's pencils or the page's colours where they really fall, and the scheme's hands, which turn together. */
export function Wheel(props: Props) {
  const { paper, wheel, rings, anchor, hands, free, colours, wanted, pencils, laid, inPlay } = props;
  const { onTurn, onHand, onPencil, onPoint } = props;
  const disc = useDisc(paper, wheel.id, rings);
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ hand: number; angle: number } | null>(null);
  const at = held?.hand === 0 && !free ? held.angle : anchor;
  const angleOfHand = (i: number) => (held?.hand === i && free ? held.angle : at + hands[i]!);
  const placeOf = ({ body, hue, chroma }: Pick<LaidPencil, 'body' | 'hue' | 'chroma'>) =>
    polar(wheel.angleOf(hue), rings ? ringPlace(body, chroma) : radiusOf(chroma));
  const angleAt = (event: React.PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    const dx = event.clientX - box.left - box.width / 2;
    const dy = event.clientY - box.top - box.height / 2;
    return Math.round(turn((Math.atan2(dx, -dy) * 180) / Math.PI));
  };
  return (
    <div className="relative h-[min(100cqw,100cqh)] w-[min(100cqw,100cqh)]">
      <div className="absolute inset-[5.5%]">
        <PixelCanvas pixels={disc} className="h-full w-full" />
      </div>
      <svg
        ref={svg}
        viewBox="-112.4 -112.4 224.8 224.8"
        className="absolute inset-0 h-full w-full"
        role="group"
        aria-label={`The ${wheel.name} wheel`}
      >
        <PlaceNames wheel={wheel} />
        {colours ? (
          <ColourMarks colours={colours} placeOf={placeOf} />
        ) : (
          <PencilMarks
            pencils={pencils}
            laid={laid}
            inPlay={inPlay}
            placeOf={placeOf}
            onPencil={onPencil}
            onPoint={onPoint}
          />
        )}
        {wanted.map((angle) => {
          const [[x0, y0], [x1, y1]] = [polar(angle, RIM * 0.5), polar(angle, RIM + 2)];
          return (
            <g key={angle} strokeLinecap="round" pointerEvents="none">
              <line x1={x0} y1={y0} x2={x1} y2={y1} stroke="#fff" strokeWidth="3.4" />
              <line x1={x0} y1={y0} x2={x1} y2={y1} stroke="#000" strokeWidth="2" strokeDasharray="0.1 4" />
            </g>
          );
        })}
        {hands.map((offset, i) => (
          <Hand key={`${i} ${offset}`} angle={angleOfHand(i)} first={i === 0} />
        ))}
        {(free ? hands.map((_, i) => i) : [0]).map((i) => {
          const angle = free ? angleOfHand(i) : at;
          const turnHand = (to: number) =>
            free && i > 0 ? onHand(i, turnBetween(anchor, to)) : onTurn(turn(to - (free ? (hands[0] ?? 0) : 0)));
          return (
            <g
              key={i}
              role="slider"
              tabIndex={0}
              aria-label={i === 0 ? 'Anchor hue' : `Hand ${i + 1}`}
              aria-valuemin={0}
              aria-valuemax={359}
              aria-valuenow={Math.round(turn(angle)) % 360}
              aria-valuetext={placeOn(wheel, angle).name}
              style={{ cursor: held === null ? 'grab' : 'grabbing', touchAction: 'none' }}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                setHeld({ hand: i, angle: angleAt(event) });
              }}
              onPointerMove={(event) => held?.hand === i && setHeld({ hand: i, angle: angleAt(event) })}
              onPointerUp={() => {
                if (held?.hand === i) turnHand(held.angle);
                setHeld(null);
              }}
              onPointerCancel={() => setHeld(null)}
              onKeyDown={(event) => {
                const by = STEP_KEYS[event.key];
                if (by === undefined) return;
                event.preventDefault();
                turnHand(turn(Math.round(angle) + by));
              }}
            >
              <HandHead angle={angle} small={i > 0} />
            </g>
          );
        })}
      </svg>
    </div>
  );
}

function Hand({ angle, first }: { angle: number; first: boolean }) {
  const [x0, y0] = polar(angle, RIM * HUB * 0.6);
  const [x1, y1] = polar(angle, RIM + 2);
  return (
    <g strokeLinecap="round" pointerEvents="none">
      <line x1={x0} y1={y0} x2={x1} y2={y1} stroke="#fff" strokeWidth={first ? 3.4 : 2.6} />
      <line
        x1={x0}
        y1={y0}
        x2={x1}
        y2={y1}
        stroke="#000"
        strokeWidth={first ? 1.7 : 1.1}
        strokeDasharray={first ? undefined : '4 2.6'}
      />
    </g>
  );
}

function HandHead({ angle, small }: { angle: number; small: boolean }) {
  const [x, y] = polar(angle, RIM - 4);
  return (
    <>
      <circle cx={x} cy={y} r={small ? 4.6 : 6.4} fill="#fff" stroke="#000" strokeWidth="1.3" />
      <circle cx={x} cy={y} r={small ? 1.4 : 2.2} fill="#000" />
    </>
  );
}

/** A place on the wheel: 0 degrees at the top, clockwise. */
function polar(angle: number, radius: number): [number, number] {
  const a = (angle * Math.PI) / 180;
  return [radius * Math.sin(a), -radius * Math.cos(a)];
}

function radiusOf(chroma: number): number {
  return RIM * (HUB + (1 - HUB) * Math.min(0.98, chroma / RIM_CHROMA));
}

/** The middle of the ring that a colour belongs to, clearer ones further out in it. */
function ringPlace(body: Lab, chroma: number): number {
  const { from, to } = ringRadius(ringOf(body));
  return RIM * (from + (to - from) * (0.15 + 0.7 * Math.min(1, chroma / RIM_CHROMA)));
}

type PlaceOf = (colour: Pick<LaidPencil, 'body' | 'hue' | 'chroma'>) => readonly [x: number, y: number];

function PlaceNames({ wheel }: Pick<Props, 'wheel'>) {
  return (
    <>
      {wheel.places.map(({ name, angle }) => {
        const [x, y] = polar(angle, RIM + 6.2);
        return (
          <text
            key={name}
            x={x}
            y={y}
            fontSize="5.6"
            textAnchor="middle"
            dominantBaseline="middle"
            fill="var(--ink)"
            transform={`rotate(${angle > 90 && angle < 270 ? angle + 180 : angle} ${x} ${y})`}
          >
            {name}
          </text>
        );
      })}
    </>
  );
}

/** The pencils where they really fall, those of the palette larger. */
function PencilMarks({
  pencils,
  laid,
  inPlay,
  placeOf,
  onPencil,
  onPoint,
}: Pick<Props, 'pencils' | 'laid' | 'inPlay' | 'onPencil' | 'onPoint'> & { placeOf: PlaceOf }) {
  return (
    <>
      {pencils.map((pencil) => {
        const on = laid.get(pencil.id);
        if (!on) return null;
        const [x, y] = placeOf(on);
        const playing = inPlay.has(pencil.id);
        return (
          <g
            key={pencil.id}
            onClick={() => onPencil(on)}
            className="cursor-pointer"
            onMouseEnter={() => onPoint(pencil.id)}
            onMouseLeave={() => onPoint(null)}
            data-pencil={pencil.code}
          >
            <title>{`${pencil.code} ${pencil.ownName || pencil.name}`}</title>
            <circle cx={x} cy={y} r={playing ? 3.4 : 2.1} fill={hexOfLab(on.body)} stroke="#fff" strokeWidth="1.5" />
            <circle cx={x} cy={y} r={playing ? 4.1 : 2.8} fill="none" stroke="#000" strokeWidth={playing ? 1 : 0.5} />
          </g>
        );
      })}
    </>
  );
}

/** The colours of the page where they really fall, as large as their share. */
function ColourMarks({ colours, placeOf }: { colours: readonly PageColour[]; placeOf: PlaceOf }) {
  return (
    <>
      {colours.map((colour) => {
        const [x, y] = placeOf({ ...colour, body: colour.lab });
        const side = 2.6 + 17 * Math.sqrt(colour.share);
        return (
          <g key={colour.says} transform={`translate(${x} ${y}) rotate(45)`} data-share={colour.share}>
            <title>{colour.says}</title>
            <rect
              x={-side / 2}
              y={-side / 2}
              width={side}
              height={side}
              fill={hexOfLab(colour.lab)}
              stroke="#fff"
              strokeWidth="1.6"
            />
            <rect
              x={-side / 2 - 0.9}
              y={-side / 2 - 0.9}
              width={side + 1.8}
              height={side + 1.8}
              fill="none"
              stroke="#000"
              strokeWidth="0.6"
            />
          </g>
        );
      })}
    </>
  );
}

function useDisc(paper: Paper, wheel: ColourWheel['id'], rings: boolean) {
  const ask = () => pencilJobs.start('wheelDisc', { paper, size: DISC, wheel, rings });
  return useAnswer([ask], [paper, wheel, rings]).value;
}
