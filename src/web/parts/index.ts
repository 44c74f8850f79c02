/** parts: the few controls that every stage is built from. */
export { BELIEF_WORDS, BeliefMark } from './belief-mark.tsx';
export { Button } from './button.tsx';
export { CardOver } from './card-over.tsx';
export { ChooseFile } from './choose-file.tsx';
export { Choice } from './choice.tsx';
export { KeepByName } from './keep-by-name.tsx';
export { Reordered } from './reordered.tsx';
export { Select } from './select.tsx';
export { Why } from './why.tsx';
export { Notice } from './notice.tsx';
export { Progress } from './progress.tsx';
export { Section } from './section.tsx';
export { Laydown } from './laydown.tsx';
export { PressureMark, StrokeMark, PointMark, ToothGauge } from './pictograms.tsx';
export { ZoneBar } from './zone-bar.tsx';
export { PixelCanvas } from './pixel-canvas.tsx';
