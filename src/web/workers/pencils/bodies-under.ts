import { type Lab, labOfSpectrum, labUnder, lampById } from '../../../core/colour/index.ts';
import { bareGround, groundAfterPasses, reflectanceOf } from '../../../core/laydown/index.ts';
import { type Job } from '../job.ts';
import { type OnPaperInput } from './on-paper.ts';
import { opticsOf } from './pencil-optics.ts';

export interface BodiesUnderInput extends OnPaperInput {
  /** Id of the lamp. */
  lamp: string;
}

/** The finished colours of pencils by daylight and under a lamp. */
export const bodiesUnder: Job<BodiesUnderInput, { id: string; day: Lab; lamp: Lab }[]> = {
  run({ pencils, paper, lamp }) {
    const ground = bareGround(paper);
    return pencils.map((pencil) => {
      const body = (['medium', 'firm'] as const).map((pressure) => ({ pencil: opticsOf(pencil), pressure }));
      const spectrum = reflectanceOf(groundAfterPasses(ground, body));
      return { id: pencil.id, day: labOfSpectrum(spectrum), lamp: labUnder(spectrum, lampById(lamp)) };
    });
  },
};
