import { useState } from 'react';
import { type Pencil, type TrialStep, isHere } from '../../../contracts/index.ts';
import { labOfHex } from '../../../core/colour/index.ts';
import { type Pressure, PRESSURES, TOOLS, toolById } from '../../../core/laydown/index.ts';
import { PencilFinder } from '../../desk/pencil-finder.tsx';
import { Choice, Select } from '../../parts/index.ts';

const NO_TOOL = 'none';

/** Chooses how hard, and then the pencil or the tool of the next pass. */
export function PassPicker({ pencils, onPass }: { pencils: readonly Pencil[]; onPass(step: TrialStep): void }) {
  const [pressure, setPressure] = useState<Pressure>('light');
  const [colour, setColour] = useState('#f6f4ee');
  return (
    <div className="grid gap-2">
      <Choice<Pressure>
        label="How hard, or how much"
        value={pressure}
        options={PRESSURES.map((value) => ({ value, label: value }))}
        onChange={setPressure}
      />
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_3rem] gap-2">
        <PencilFinder
          label="lay a pencil: code, name or words"
          pencils={pencils.filter(isHere)}
          onFound={({ id }) => onPass({ pencil: id, pressure })}
        />
        <Select
          label="Use something else"
          value={NO_TOOL}
          options={[
            { value: NO_TOOL, label: 'or use something else' },
            ...TOOLS.map(({ id, name, caution }) => ({ value: id, label: name, says: caution })),
          ]}
          onChange={(id) => {
            if (id === NO_TOOL) return;
            const { coloured, waits } = toolById(id);
            const step = { tool: id, pressure: waits ? 'burnish' : pressure } as const;
            onPass(coloured ? { ...step, colour: labOfHex(colour) } : step);
          }}
        />
        <input
          type="color"
          aria-label="Colour of pens, markers, washes and paint"
          title="Colour of pens, markers, washes and paint"
          value={colour}
          onChange={(event) => setColour(event.target.value)}
          className="h-10 w-12 border border-edge bg-leaf p-1"
        />
      </div>
    </div>
  );
}
