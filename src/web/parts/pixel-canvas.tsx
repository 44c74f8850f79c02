import { useEffect, useRef } from 'react';

interface Pixels {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/** Computed pixels on the page, shown at the given CSS size. */
export function PixelCanvas({
  pixels,
  className,
  label,
}: {
  pixels: Pixels | null;
  className?: string;
  label: string;
}) {
  const ref = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const canvas = ref.current;
    if (!canvas || !pixels) return;
    canvas.width = pixels.width;
    canvas.height = pixels.height;
    canvas
      .getContext('2d')!
      .putImageData(new ImageData(pixels.data as Uint8ClampedArray<ArrayBuffer>, pixels.width), 0, 0);
  }, [pixels]);
  return <canvas ref={ref} role="img" aria-label={label} className={className} />;
}
