import { type Tool } from './tool.ts';

/** Waiting until wet paper is dry. */
export const drying: Tool = {
  id: 'drying',
  name: 'let it dry',
  how: 'Wait until it is dry to the touch.',
  coloured: false,
  waits: true,
  unseen: true,
  onWet: true,
  caution: '',
  use: (ground) => ({ ...ground, wet: false }),
};
