import { Download } from 'lucide-react';
import type { Pencil } from '../../contracts/index.ts';
import { TRAY_FORMATS, fileOf } from '../../formats/index.ts';
import { Button, Section } from '../parts/index.ts';
import { saveText } from '../parts/save-file.ts';

/** The tray as files that other programs read, and that can be brought back in. */
export function TakeAway({ name, pencils }: { name: string; pencils: readonly Pencil[] }) {
  if (pencils.length === 0) return null;
  return (
    <Section title="Take this tray with you">
      <div className="flex gap-2">
        {[...TRAY_FORMATS].reverse().map((format) => (
          <Button key={format.id} className="flex-1" onClick={() => saveText(fileOf(name, { name, pencils }, format))}>
            <Download size={16} /> {format.id}
          </Button>
        ))}
      </div>
      <ul className="mt-1.5 text-sm text-soft">
        {[...TRAY_FORMATS].reverse().map(({ id, holds }) => (
          <li key={id}>
            {id} holds {holds}.
          </li>
        ))}
      </ul>
    </Section>
  );
}
