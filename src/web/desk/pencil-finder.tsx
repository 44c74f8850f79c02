import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useState } from 'react';
import type { Pencil } from '../../contracts/index.ts';
import { matchesWords } from './pencil-search.ts';

const SHOWN = 8;

/** Finds one pencil by code, name or words, and hands it over. */
export function PencilFinder({
  label,
  pencils,
  onFound,
}: {
  label: string;
  pencils: readonly Pencil[];
  onFound(pencil: Pencil): void;
}) {
  const [words, setWords] = useState('');
  const fitting = pencils.filter((pencil) => matchesWords(pencil, words)).slice(0, SHOWN);
  return (
    <Combobox<Pencil | null>
      value={null}
      onChange={(pencil) => {
        if (pencil) onFound(pencil);
        setWords('');
      }}
      immediate
    >
      <ComboboxInput
        aria-label={label}
        placeholder="a pencil: code or words"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        className="h-10 w-full min-w-0 border border-edge bg-leaf px-3 placeholder:text-soft"
      />
      <ComboboxOptions
        anchor={{ to: 'bottom start', gap: 2 }}
        className="z-50 w-(--input-width) min-w-72 border border-ink bg-leaf text-ink shadow-lg empty:invisible focus:outline-none"
      >
        {fitting.map((pencil) => (
          <ComboboxOption
            key={pencil.id}
            value={pencil}
            className="flex cursor-pointer items-center gap-2 px-3 py-1.5 data-focus:bg-card"
          >
            <span className="h-5 w-8 shrink-0" style={{ background: pencil.colour }} aria-hidden />
            <span className="font-figure font-bold">{pencil.code}</span>
            <span className="min-w-0 truncate">{pencil.ownName || pencil.name}</span>
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  );
}
