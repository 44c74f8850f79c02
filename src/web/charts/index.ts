/** charts: what is drawn from figures, in greys but where a figure stands for a colour. */
export { type BarRow, Bars } from './bars.tsx';
