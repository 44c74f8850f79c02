import { Download } from 'lucide-react';
import Papa from 'papaparse';
import type { Pencil } from '../../contracts/index.ts';
import { CSV_COLUMNS, gplOf } from '../../core/formats/index.ts';
import { Button, Section } from '../parts/index.ts';
import { saveText } from '../parts/save-file.ts';

/** The tray as files that other programs read, and that can be brought back in. */
export function TakeAway({ name, pencils }: { name: string; pencils: readonly Pencil[] }) {
  if (pencils.length === 0) return null;
  const csv = () =>
    Papa.unparse(
      { fields: [...CSV_COLUMNS], data: pencils.map((pencil) => CSV_COLUMNS.map((column) => pencil[column] ?? '')) },
      { escapeFormulae: true },
    );
  return (
    <Section title="Take this tray with you">
      <div className="flex gap-2">
        <Button className="flex-1" onClick={() => saveText(`${name}.csv`, csv(), 'text/csv')}>
          <Download size={16} /> CSV
        </Button>
        <Button className="flex-1" onClick={() => saveText(`${name}.gpl`, gplOf(name, pencils), 'text/plain')}>
          <Download size={16} /> GPL palette
        </Button>
      </div>
      <p className="mt-1.5 text-sm text-soft">
        CSV holds code, name, set, type, colour and opacity of each pencil, and can be pasted back. A GPL palette holds
        colours and codes only.
      </p>
    </Section>
  );
}
