import { hexOfLab } from '../../src/core/colour/index.ts';
import { type Pressure } from '../../src/core/laydown/index.ts';
import { type MadePencil, layOverlay, made, madePaper } from '../../src/simulated-devices/maker/index.ts';
import { type Label, type Maker } from './maker.ts';

/** How hard the demo's maker presses, as its own patches are pressed. */
const PRESS: Readonly<Record<Pressure, number>> = {
  whisper: 0.1,
  light: 0.24,
  medium: 0.46,
  firm: 0.82,
  burnish: 1.05,
};

const pencils = new Map<string, MadePencil>();

function pencilOf({ colour, type, opacity }: Label): MadePencil {
  const key = `${hexOfLab(colour)} ${type} ${opacity}`;
  let own = pencils.get(key);
  if (!own) pencils.set(key, (own = made({ id: key, colour: hexOfLab(colour), type, opacity })));
  return own;
}

/** The one who made the demo's pencils. */
export const demoMaker: Maker = {
  id: 'demo',
  says: 'the maker of the demo’s pencils: a relief that lasts, tooth place by place, blue scattered more',
  lay: (passes, paper, on) =>
    layOverlay(
      passes.map(({ pencil, pressure }) => ({ pencil: pencilOf(pencil), patch: [PRESS[pressure]] })),
      madePaper(paper.id),
      on,
    ),
};
