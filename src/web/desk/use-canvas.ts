import { useEffect, useMemo } from 'react';
import { toast } from 'sonner';
import { type Ask, type AnswerOptions, type OutputOf, type PageJobs, useAnswer } from '../workers/index.ts';

/** A picture as it comes from a worker. */
export type Pixels = OutputOf<PageJobs['preview']>;

/** The newest picture of some inputs, see {@link useAnswer}; that one could not be painted is said, once for all. */
export function usePixels(
  asks: readonly Ask<Pixels>[],
  inputs: readonly unknown[],
  options?: AnswerOptions,
): Pixels | null {
  const { value, sentence } = useAnswer(asks, inputs, options);
  useEffect(() => {
    if (sentence !== null) toast.error(`A picture could not be painted: ${sentence}`, { id: 'not painted' });
  }, [sentence]);
  return value;
}

/** A picture as it can be drawn. */
export function useCanvas(pixels: Pixels | null): HTMLCanvasElement | null {
  return useMemo(() => pixels && canvasOf(pixels), [pixels]);
}

function canvasOf({ width, height, data }: Pixels): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')!.putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width), 0, 0);
  return canvas;
}
