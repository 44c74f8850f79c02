import { useState } from 'react';
import { WHEEL_PLACES, hexOfLab, labOfOklch } from '../../core/colour/index.ts';
import { Button, Select } from '../parts/index.ts';
import { SampleColour } from './sample-colour.tsx';

const NO_PLACE = 'none';
/** A clear colour of middling value, which every place of the wheel has on a screen: OKLCH lightness and chroma. */
const CLEAR = { l: 0.7, c: 0.13 };

/** Says which colour to look for: picked by eye, taken out of a photo, or a place on the wheel. */
export function LookForColour({
  paper,
  picked,
  onPick,
}: {
  paper: string;
  picked: string | null;
  onPick(colour: string): void;
}) {
  const [sampling, setSampling] = useState(false);
  return (
    <>
      <label className="flex items-center gap-2">
        or look for a colour
        <input
          type="color"
          aria-label="Look for a colour"
          value={picked ?? '#7a8f6a'}
          onChange={(event) => onPick(event.target.value)}
          className="h-10 w-12 border border-edge bg-leaf p-1"
        />
      </label>
      <Button look="bare" onClick={() => setSampling(true)}>
        from a photo
      </Button>
      <Select
        label="A place on the wheel"
        value={NO_PLACE}
        className="w-56!"
        options={[
          { value: NO_PLACE, label: 'a place on the wheel' },
          ...WHEEL_PLACES.map(({ name }) => ({ value: name, label: name })),
        ]}
        onChange={(place) => {
          const found = WHEEL_PLACES.find(({ name }) => name === place);
          if (found) onPick(hexOfLab(labOfOklch({ ...CLEAR, h: found.hue })));
        }}
      />
      {sampling && (
        <SampleColour
          title="A colour to look for"
          paper={paper}
          onColour={(lab) => {
            setSampling(false);
            onPick(hexOfLab(lab));
          }}
          onClose={() => setSampling(false)}
        />
      )}
    </>
  );
}
