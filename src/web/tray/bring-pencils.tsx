import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { Pencil, Tray } from '../../contracts/index.ts';
import { TRAY_FORMATS, acceptedBy, readPencils } from '../../formats/index.ts';
import { useAddPencilsMutation, useCopyPencilsMutation, usePencilsQuery, useTraysQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Button, ChooseFile, Notice } from '../parts/index.ts';

/** Ways to fill this tray: whole sets of other trays, or a list. */
export function BringPencils({ trayId }: { trayId: string }) {
  const { data: trays = [] } = useTraysQuery();
  const others = trays.filter((tray) => tray.id !== trayId && tray.pencils > 0);
  return (
    <>
      {others.length > 0 && (
        <section className="border-b border-rule py-4">
          <h2 className="mb-2 text-[1.05rem]">Copy a set into this tray</h2>
          {others.map((tray) => (
            <SetsOf key={tray.id} tray={tray} into={trayId} />
          ))}
        </section>
      )}
      <BringList trayId={trayId} />
    </>
  );
}

function SetsOf({ tray, into }: { tray: Tray; into: string }) {
  const { data: pencils = [] } = usePencilsQuery(tray.id);
  const [copy, { isLoading }] = useCopyPencilsMutation();
  const sets = bySet(pencils);
  return (
    <ul className="grid gap-1.5">
      {[...sets].map(([set, own]) => (
        <li key={set} className="flex items-center justify-between gap-2">
          <span className="min-w-0">
            {set}{' '}
            <span className="text-sm text-soft">
              {own.length}, from {tray.name}
            </span>
          </span>
          <Button
            disabled={isLoading}
            aria-label={`Copy ${set}`}
            onClick={() =>
              void copy({ trayId: into, pencilIds: own.map((pencil) => pencil.id) }).then(({ data, error }) => {
                if (error || !data) toast.error(sentenceOf(error));
                else toast(`${data.copied} pencils copied${data.there ? `, ${data.there} were here already` : ''}.`);
              })
            }
          >
            Copy
          </Button>
        </li>
      ))}
    </ul>
  );
}

function bySet(pencils: readonly Pencil[]): Map<string, Pencil[]> {
  const sets = new Map<string, Pencil[]>();
  for (const pencil of pencils) {
    const name = pencil.set || 'without a set';
    sets.set(name, [...(sets.get(name) ?? []), pencil]);
  }
  return sets;
}

/** A list from a file or the clipboard, CSV or GPL palette, with what would come of it before anything is stored. */
function BringList({ trayId }: { trayId: string }) {
  const [text, setText] = useState('');
  const [add, { isLoading }] = useAddPencilsMutation();
  const { data: there = [] } = usePencilsQuery(trayId);
  const read = useMemo(() => (text.trim() ? readPencils(text) : null), [text]);
  const known = new Set(there.map(({ set, code }) => `${set}\n${code}`));
  const fresh = read?.pencils.filter(({ set, code }) => !known.has(`${set}\n${code}`)) ?? [];
  const put = async () => {
    const pencils = fresh.map((pencil) => ({ ...pencil, id: nanoid() }));
    const { data, error } = await add({ trayId, pencils });
    if (error || !data) return void toast.error(sentenceOf(error));
    toast(`${data.copied} pencils put in${data.there ? `, ${data.there} were here already` : ''}.`);
    setText('');
  };
  const open = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES) return void toast.error(`${file.name} is larger than a list of pencils can be (2 MB).`);
    setText(await file.text());
  };
  return (
    <section
      className="py-4"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        void open(event.dataTransfer.files[0]);
      }}
    >
      <h2 className="mb-1 text-[1.05rem]">Bring a list in</h2>
      <ChooseFile
        label="A list from a file"
        accept={`.txt,${acceptedBy(TRAY_FORMATS)}`}
        onFile={(file) => void open(file)}
      />
      <label className="mt-2 text-[0.95rem] text-soft">
        Or paste it. CSV with a first line that names the columns: code and colour, and if you like name, set, type
        (wax, oil, pastel, water-soluble) and opacity from 0 to 1. Or a GPL palette.
        <textarea
          value={text}
          onChange={(event) => setText(event.target.value)}
          rows={5}
          spellCheck={false}
          placeholder={'code,name,colour,type\nK1,kelp,#4c5a2e,oil'}
          className="mt-1.5 w-full border border-edge bg-leaf p-2 font-figure text-sm text-ink placeholder:text-soft"
        />
      </label>
      {read && (
        <div className="mt-1 grid gap-2">
          {read.faults.slice(0, 4).map(({ line, sentence }) => (
            <Notice key={line} title={`Line ${line}.`}>
              {sentence}
            </Notice>
          ))}
          {read.faults.length > 4 && (
            <p className="text-[0.95rem]">and {read.faults.length - 4} more lines that cannot be read.</p>
          )}
          {fresh.length < read.pencils.length && (
            <p className="text-[0.95rem] text-soft">
              {read.pencils.length - fresh.length} lie in this tray already and stay as they are.
            </p>
          )}
          <Button look="strong" disabled={fresh.length === 0 || isLoading} onClick={() => void put()}>
            Put {fresh.length} {fresh.length === 1 ? 'pencil' : 'pencils'} in this tray
          </Button>
        </div>
      )}
    </section>
  );
}

const MOST_BYTES = 2_000_000;
