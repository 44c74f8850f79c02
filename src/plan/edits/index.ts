/** Every change to a plan by name: functions that change a draft of it in place, the same in browser and server. */
export { addRepairs } from './bench.ts';
export { USUAL_GLOW, addLamp, setGlow } from './light.ts';
export { giveFamilies, replacePencil } from './pencils.ts';
export { addMends, forgetAside, giveHome, placeAside, sayGrounds, sayOfRegions } from './regions.ts';
export { type AboutSheet, decide, resizeSheet } from './sheet.ts';
export {
  type AboutThing,
  addGuesses,
  addThing,
  decideThing,
  gatherRegions,
  keepGuesses,
  moveThing,
  removeGuesses,
  removeThings,
} from './things.ts';
