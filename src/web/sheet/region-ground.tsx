import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronRight } from 'lucide-react';
import { type RegionGround, TEXTURES, type Texture } from '../../contracts/index.ts';
import { TOOTH_LEFT, type ToothLeft } from '../../core/laydown/index.ts';
import { GROUND_KINDS } from '../../core/render/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Choice, Select } from '../parts/index.ts';
import { aboutRegion, sayGrounds, sayOfRegions } from '../../plan/index.ts';

type GroundKind = RegionGround['kind'];

const KIND_WORDS: Record<GroundKind, { label: string; says: string }> = {
  bare: { label: 'bare paper', says: 'nothing on it yet' },
  'printed grey': { label: 'printed grey', says: 'its shade is counted and not laid again' },
  marker: { label: 'alcohol marker', says: 'stained and smooth: its colour is counted, and it takes less pencil' },
  wash: { label: 'watercolour wash', says: 'stained, with all of its tooth; let it dry first' },
  paint: { label: 'paint', says: 'hidden, and hardly any tooth is left' },
  coloured: { label: 'coloured already', says: 'keeps its colour and has lost tooth' },
};
const TOOTH_WORDS: Record<ToothLeft, string> = { plenty: 'plenty', some: 'some', none: 'none' };
const TEXTURE_WORDS: Record<Texture, string> = {
  follow: 'follow them in the shading',
  ignore: 'ignore them',
};
const UNSAID = 'unsaid';
/** What a stained place begins with when nothing was read there: a middling warm grey, to be changed at once. */
const FIRST_COLOUR = '#b8b2a8';

/** What lies on the chosen regions before anything is laid, what they still take, and what to do with the artist's marks. */
export function RegionGrounds({ regionIds }: { regionIds: readonly number[] }) {
  const { sheet, grounds } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const { plan } = sheet;
  const these = regionIds.length === 1 ? 'a region' : `${regionIds.length} regions`;
  const first = grounds.get(regionIds[0]!);
  const kinds = new Set(regionIds.map((id) => grounds.get(id)?.kind ?? 'bare'));
  const textures = new Set(regionIds.map((id) => aboutRegion(plan, id).texture ?? UNSAID));
  const kind = kinds.size === 1 ? [...kinds][0]! : null;
  const ground = (label: string, part: Partial<RegionGround>) => {
    const given = regionIds.map((id): [number, RegionGround] => {
      const was = grounds.get(id) ?? { kind: 'bare', colour: first?.colour ?? FIRST_COLOUR, toothLeft: null };
      return [id, { ...was, ...part }];
    });
    void change(label, (draft) => sayGrounds(draft, new Map(given)));
  };
  const texture = (value: Texture | typeof UNSAID) => {
    const said = value === UNSAID ? undefined : value;
    void change(`the artist's marks in ${these}: ${said ? TEXTURE_WORDS[said] : 'nothing said'}`, (draft) =>
      sayOfRegions(draft, regionIds, { texture: said }),
    );
  };
  return (
    <Disclosure>
      <DisclosureButton className="group flex min-h-10 w-full items-center gap-1 text-left text-[0.95rem]">
        <ChevronRight size={16} aria-hidden className="group-data-open:rotate-90" />
        What lies there
        <span className="ml-auto flex items-center gap-2 text-sm text-soft">
          {kind === null ? 'different things' : KIND_WORDS[kind].label}
          {kind !== null && kind !== 'bare' && first && (
            <span className="h-4 w-6 border border-edge" style={{ background: first.colour }} aria-hidden />
          )}
        </span>
      </DisclosureButton>
      <DisclosurePanel className="grid gap-2 pb-2">
        <Select
          label="Ground"
          value={kind ?? ''}
          options={GROUND_KINDS.map((value) => ({ value: value as string, ...KIND_WORDS[value] }))}
          onChange={(value) =>
            ground(`${these}: ${KIND_WORDS[value as GroundKind].label}`, { kind: value as GroundKind })
          }
        />
        {kind !== null && kind !== 'bare' && first && (
          <label className="flex items-center gap-3 text-[0.95rem]">
            its colour as seen
            <input
              type="color"
              className="h-10 w-14 border border-edge bg-leaf"
              value={first.colour}
              onChange={(event) => ground(`${these}: another colour`, { colour: event.target.value })}
            />
          </label>
        )}
        {kind === 'coloured' && first && (
          <div>
            <p className="text-[0.95rem]">How much does the paper still take? Feel it with a pale pencil.</p>
            <Choice
              label="Tooth left"
              value={first.toothLeft ?? ''}
              options={TOOTH_LEFT.map((value) => ({ value: value as string, label: TOOTH_WORDS[value] }))}
              onChange={(value) => ground(`${these}: ${value} tooth left`, { toothLeft: value as ToothLeft })}
            />
            {first.toothLeft === null && (
              <p className="mt-1 text-sm text-soft">Until that is said, some is taken to be left.</p>
            )}
          </div>
        )}
        <Select
          label="The artist's marks"
          value={textures.size === 1 ? [...textures][0]! : UNSAID}
          options={[
            { value: UNSAID, label: 'the artist’s marks: nothing said' },
            ...TEXTURES.map((value) => ({ value: value as Texture | typeof UNSAID, label: TEXTURE_WORDS[value] })),
          ]}
          onChange={texture}
        />
      </DisclosurePanel>
    </Disclosure>
  );
}
