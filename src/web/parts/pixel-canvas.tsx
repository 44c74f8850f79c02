import { useEffect, useRef } from 'react';

interface Pixels {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

interface Props {
  pixels: Pixels | null;
  className?: string;
  /** What the picture shows; left out where a text beside it says the same. */
  label?: string;
}

/** Computed pixels on the page. */
export function PixelCanvas({ pixels, className, label }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const canvas = ref.current;
    if (!canvas || !pixels) return;
    canvas.width = pixels.width;
    canvas.height = pixels.height;
    const image = new ImageData(pixels.data as Uint8ClampedArray<ArrayBuffer>, pixels.width);
    canvas.getContext('2d')!.putImageData(image, 0, 0);
  }, [pixels]);
  const meaning = label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true };
  return <canvas ref={ref} {...meaning} className={className} />;
}
