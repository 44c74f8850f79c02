import { type Lab } from '../../../core/colour/index.ts';
import { type RampOptions, type TrayPencil, planRamp } from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { laidOn } from './pencil-optics.ts';

export interface RampInput {
  from: Lab;
  to: Lab;
  pencils: readonly TrayPencil[];
  options: RampOptions;
}

/** The smoothest passage between two colours. */
export const ramp: Job<RampInput, ReturnType<typeof planRamp>> = {
  run: ({ from, to, pencils, options }) => planRamp(from, to, laidOn(options.paper, pencils), options),
};
