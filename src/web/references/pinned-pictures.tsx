import { Camera, ImagePlus } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Thing } from '../../contracts/index.ts';
import { useReferencesQuery } from '../api/desk-api.ts';
import { TakePicture } from '../devices/index.ts';
import { Button, Section } from '../parts/index.ts';
import { PinnedPicture } from './pinned-picture.tsx';
import { pinnedTo } from './pinned-to.ts';
import { usePin } from './use-pin.ts';

/** Pictures pinned to the sheet or to the thing that is chosen: added by file, paste or camera, and taken down. */
export function PinnedPictures({
  sheetId,
  thing,
  things,
}: {
  sheetId: string;
  thing: Thing | null;
  things: readonly Thing[];
}) {
  const { data: references = [] } = useReferencesQuery(sheetId);
  const { pinFile, takeDown, pinning } = usePin(sheetId, thing?.id ?? null);
  const [camera, setCamera] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const shown = pinnedTo(thing?.id ?? null, references, things);
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const file = [...(event.clipboardData?.files ?? [])].find(({ type }) => type.startsWith('image/'));
      if (!file) return;
      event.preventDefault();
      void pinFile(file);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, [pinFile]);
  return (
    <Section title="Pinned pictures" aside={thing && `of ${thing.name}`}>
      {shown.length > 0 ? (
        <div className="flex flex-wrap gap-2">
          {shown.map((reference) => (
            <PinnedPicture
              key={reference.id}
              sheetId={sheetId}
              reference={reference}
              onTakeDown={() => void takeDown(reference.id)}
            />
          ))}
        </div>
      ) : (
        <p className="text-soft">
          A photo of the real thing to look at while choosing, and at the table. Paste one here, or
        </p>
      )}
      <input
        ref={input}
        type="file"
        aria-label="Picture to pin"
        accept="image/*"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void pinFile(file);
          event.target.value = '';
        }}
      />
      <div className="-mx-3 flex flex-wrap">
        <Button look="bare" disabled={pinning} onClick={() => input.current?.click()}>
          <ImagePlus size={16} aria-hidden /> {pinning ? 'Pinning …' : 'Pin a picture'}
        </Button>
        <Button look="bare" disabled={pinning} onClick={() => setCamera(true)}>
          <Camera size={16} aria-hidden /> Photograph it
        </Button>
      </div>
      {camera && (
        <TakePicture
          kind="camera"
          does="Pin it here"
          onFile={(file) => {
            setCamera(false);
            void pinFile(file);
          }}
          onClose={() => setCamera(false)}
        />
      )}
    </Section>
  );
}
