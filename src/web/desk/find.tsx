import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { SheetState } from '../../contracts/index.ts';
import { usePencilsQuery } from '../api/desk-api.ts';
import { useAppDispatch } from '../app/store.ts';
import { chooseThing } from './at-the-desk.ts';
import { STAGE_LINKS, stageAddress } from './stages.ts';
import { thingsOf } from '../../plan/index.ts';

interface Found {
  key: string;
  label: string;
  kind: string;
  go(): void;
}

const MOST = 9;

/** Finds a thing, a pencil or a stage by typing a part of its name. */
export function Find({ sheet }: { sheet: SheetState }) {
  const [words, setWords] = useState('');
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { data: pencils = [] } = usePencilsQuery(sheet.trayId);
  const all: Found[] = [
    ...STAGE_LINKS.map(({ to, label }) => ({
      key: to,
      label,
      kind: 'stage',
      go: () => void navigate(stageAddress(sheet.id, sheet.trayId, to)),
    })),
    ...thingsOf(sheet.plan).map((thing) => ({
      key: thing.id,
      label: thing.name,
      kind: 'thing',
      go: () => void dispatch(chooseThing(thing)),
    })),
    ...pencils.map((pencil) => ({
      key: pencil.id,
      label: `${pencil.code} ${pencil.ownName || pencil.name}`,
      kind: 'pencil',
      go: () => void navigate(`/tray/${sheet.trayId}?sheet=${sheet.id}&words=${encodeURIComponent(pencil.code)}`),
    })),
  ];
  const found = words.trim()
    ? all.filter(({ label }) => label.toLowerCase().includes(words.trim().toLowerCase())).slice(0, MOST)
    : [];
  return (
    <Combobox
      value={null}
      onChange={(chosen: Found | null) => {
        chosen?.go();
        setWords('');
      }}
    >
      <ComboboxInput
        aria-label="Find a thing, pencil or stage"
        placeholder="Find"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        className="mx-1 h-9 w-32 border border-edge bg-leaf px-2.5 text-[0.95rem] placeholder:text-soft"
      />
      {found.length > 0 && (
        <ComboboxOptions
          anchor={{ to: 'bottom end', gap: 4 }}
          className="z-50 w-72 border border-ink bg-leaf text-ink shadow-lg"
        >
          {found.map((each) => (
            <ComboboxOption
              key={each.key}
              value={each}
              className="flex justify-between gap-3 px-3 py-2 data-focus:bg-card"
            >
              <span className="truncate">{each.label}</span>
              <span className="text-sm text-soft">{each.kind}</span>
            </ComboboxOption>
          ))}
        </ComboboxOptions>
      )}
    </Combobox>
  );
}
