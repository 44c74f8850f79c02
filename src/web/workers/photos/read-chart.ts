import { paperById } from '../../../core/laydown/index.ts';
import { type ChartCell, type ChartGrid, fitGrid, readChart } from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { pixelsOf } from './read-photo.ts';

export interface ReadChartInput {
  picture: Blob;
  /** Where its patches lie, or how many there are each way, so that a grid is fitted to them. */
  wish: ChartGrid | { rows: number; columns: number };
  /** Id of its paper. */
  paper: string;
}

/** Charts are read at this longest side, pixels: patches are large. */
const CHART_READ_AT = 700;

/** The colours of a swatch chart's patches. */
export const readChartJob: Job<ReadChartInput, { grid: ChartGrid; cells: ChartCell[] }> = {
  async run({ picture, wish, paper }, run) {
    run.progress(0.1, 'reading the chart');
    const { width, height, data } = await pixelsOf(picture, CHART_READ_AT);
    const image = { width, height, data };
    const grid = 'left' in wish ? wish : fitGrid(image, wish.rows, wish.columns, paperById(paper));
    return { grid, cells: readChart(image, grid, paperById(paper)) };
  },
};
