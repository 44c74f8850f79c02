import { Camera, FilePlus2, ScanLine } from 'lucide-react';
import { useRef } from 'react';
import { Button } from '../parts/index.ts';

/** The one place to bring in a page of one's own: a file, a scan, a photo. */
export function BringIn({
  busy,
  onFile,
  onDevice,
}: {
  busy: boolean;
  onFile(file: File): void;
  onDevice(kind: 'scanner' | 'camera'): void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <div className="flex w-76 shrink-0 flex-col max-md:order-first max-md:w-full items-start gap-4 border border-dashed border-edge p-5">
      <FilePlus2 size={34} strokeWidth={1.4} aria-hidden />
      <div>
        <h2 className="text-xl">A page of your own</h2>
        <p className="mt-1 text-[0.95rem] text-soft">
          A scan, photo or drawing: PNG, JPEG, WebP, TIFF, SVG or PDF. 200 to 300 dpi is best. Drop or paste it here.
          Colour pages you own.
        </p>
      </div>
      <input
        ref={input}
        type="file"
        aria-label="Picture of a page"
        accept=".png,.jpg,.jpeg,.webp,.tif,.tiff,.svg,.pdf"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
      <div className="grid w-full gap-2">
        <Button look="strong" disabled={busy} onClick={() => input.current?.click()}>
          {busy ? 'Reading the page …' : 'Bring in a page'}
        </Button>
        <div className="grid grid-cols-2 gap-2">
          <Button disabled={busy} onClick={() => onDevice('scanner')}>
            <ScanLine size={17} aria-hidden /> Scan one
          </Button>
          <Button disabled={busy} onClick={() => onDevice('camera')}>
            <Camera size={17} aria-hidden /> Snap one
          </Button>
        </div>
        <p className="text-sm text-soft">Scanner and camera are simulated here.</p>
      </div>
    </div>
  );
}
