/** devices: taking pictures and readings; simulated devices say that they are. */
export { QualityPanel } from './quality-panel.tsx';
export { default as TakePicture } from './take-picture.tsx';
