import { type GlowContrast, glowContrasts } from '../../../core/light/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { type LitPageInput } from './lit-page-input.ts';

/** How each glow stands out from what surrounds it. */
export const glowContrastsJob: Job<LitPageInput, (GlowContrast | null)[]> = {
  run({ key, things, lighting, step }) {
    const lit = pageOf(key).page.lit(things, lighting, step);
    return glowContrasts(lit, things, lighting, lit.fields);
  },
};
