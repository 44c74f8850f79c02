import { Camera, Plus, Minus } from 'lucide-react';
import { useState } from 'react';
import {
  hexOfLab,
  oklchOfLab,
  placeOn,
  turn,
  turnBetween,
  wheelById,
  WHEELS,
  wordsFor,
} from '../../core/colour/index.ts';
import { MOST_HANDS, type PhotoColour, SCHEMES, handsOf, schemeById } from '../../core/palette/index.ts';
import { bodyOf } from '../../core/recipe/index.ts';
import { decide, thingsOf } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { useChosen } from '../desk/use-chosen.ts';
import { Button, Select, Section } from '../parts/index.ts';
import { PhotoColours } from './photo-colours.tsx';

/** Colours below this OKLCH chroma give no hand. */
const GREY = 0.035;

/** The wheel in use, the scheme and its hands, turned by names, by what is chosen on the sheet, or by a photo. */
export function SchemeSection() {
  const { sheet, laid } = useDesk();
  const { wheel: own } = sheet.plan;
  const things = thingsOf(sheet.plan);
  const { thingId } = useChosen();
  const change = usePlanChange(sheet.id, 'wheel');
  const [photo, setPhoto] = useState(false);
  const wheel = wheelById(own.wheel);
  const hands = handsOf(own.scheme, own.anchor, own.hands);
  const thing = things.find(({ id }) => id === thingId);
  const body = thing?.family ? laid.get(bodyOf(thing.family)) : undefined;
  const set = (label: string, next: Partial<typeof own>) =>
    void change(label, (plan) => decide(plan, { wheel: { ...own, ...next } }));
  const changeWheel = (id: (typeof own)['wheel']) => {
    // The anchor keeps its hue: on the other wheel it stands at another angle.
    const anchor = Math.round(wheelById(id).angleOf(wheel.hueOf(own.anchor))) % 360;
    set(`${wheelById(id).name} wheel`, { wheel: id, anchor });
  };
  const takeHands = (colours: readonly PhotoColour[]) => {
    const angles = distinctAngles(colours, (hue) => wheel.angleOf(hue));
    const [anchor] = angles;
    setPhoto(false);
    if (anchor === undefined) return;
    set('hands from a photo', { scheme: 'free', anchor, hands: angles.map((angle) => turnBetween(anchor, angle)) });
  };
  return (
    <Section title="Scheme" aside={`anchor: ${placeOn(wheel, own.anchor).name}`}>
      <div className="grid grid-cols-[1fr_8.5rem] gap-1.5">
        <Select
          label="Scheme"
          value={own.scheme}
          options={SCHEMES.map(({ id, name, says }) => ({ value: id, label: name, says }))}
          onChange={(scheme) => set(`scheme ${schemeById(scheme).name}`, { scheme })}
        />
        <Select
          label="Wheel"
          value={own.wheel}
          options={WHEELS.map(({ id, name, says, costs }) => ({ value: id, label: name, says: `${says} ${costs}` }))}
          onChange={changeWheel}
        />
      </div>
      <p className="mt-1.5 text-[0.95rem] text-soft">
        {schemeById(own.scheme).says}{' '}
        {hands.length > 1 && <>Hands: {hands.map((at) => placeOn(wheel, at).name).join(', ')}.</>}
      </p>
      {schemeById(own.scheme).byHand && (
        <div className="mt-1 flex gap-1.5">
          <Button
            disabled={hands.length >= MOST_HANDS}
            onClick={() => set('add a hand', { hands: [...hands.map((at) => turnBetween(own.anchor, at)), 180] })}
          >
            <Plus size={16} /> Add a hand
          </Button>
          <Button
            disabled={hands.length <= 1}
            onClick={() =>
              set('take a hand away', { hands: hands.slice(0, -1).map((at) => turnBetween(own.anchor, at)) })
            }
          >
            <Minus size={16} /> Take one away
          </Button>
        </div>
      )}
      <div className="mt-1 flex flex-wrap gap-x-3">
        {thing && body && (
          <Button
            look="bare"
            className="px-0!"
            onClick={() => set(`turn to ${thing.name}`, { anchor: Math.round(turn(wheel.angleOf(body.hue))) % 360 })}
          >
            Turn to {thing.name}
          </Button>
        )}
        <Button look="bare" className="px-0!" onClick={() => setPhoto(true)}>
          <Camera size={16} /> Draw colours from a photo
        </Button>
      </div>
      {photo && <PhotoColours onTake={takeHands} onClose={() => setPhoto(false)} name={nameOf} />}
    </Section>
  );
}

function nameOf({ lab, share }: PhotoColour): string {
  return `${wordsFor(lab)}, ${hexOfLab(lab)}, ${Math.round(100 * share)}%`;
}

/** Angles of the colours that have a hue, the weightiest first, no two within 20 degrees. */
function distinctAngles(colours: readonly PhotoColour[], angleOf: (hue: number) => number): number[] {
  const angles: number[] = [];
  for (const { lab } of colours) {
    const { c, h } = oklchOfLab(lab);
    const angle = Math.round(angleOf(h)) % 360;
    if (c < GREY || angles.some((other) => Math.abs(turnBetween(other, angle)) < 20)) continue;
    angles.push(angle);
  }
  return angles.slice(0, MOST_HANDS);
}
