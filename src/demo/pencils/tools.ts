import { type NewTool } from '../../contracts/index.ts';

/** The Lamplight pens and what else lies beside the pencils. */
export const demoTools: readonly NewTool[] = [
  {
    id: 'demo-pen-white',
    kind: 'pen',
    name: 'opaque white pen',
    set: 'Lamplight',
    colour: '#fdfcf8',
    note: 'Last of all, for highlights and to put back a lost edge. Let it dry before the hand comes near.',
  },
  {
    id: 'demo-pen-black',
    kind: 'pen',
    name: 'opaque black pen',
    set: 'Lamplight',
    colour: '#161514',
    note: 'Puts printed outlines back when layers have paled them.',
  },
  {
    id: 'demo-pen-gold',
    kind: 'pen',
    name: 'gold pen',
    set: 'Lamplight',
    colour: '#b98a33',
    note: 'Shines only where the light catches it; on a scan it looks brown.',
  },
  {
    id: 'demo-blender',
    kind: 'blender',
    name: 'colourless blender',
    set: '',
    colour: null,
    note: 'Fills the tooth. Nothing takes well over it, so it comes near the end.',
  },
  {
    id: 'demo-barrier',
    kind: 'barrier',
    name: 'white candle pencil',
    set: '',
    colour: '#f8f6f0',
    note: 'Pressed in first it keeps later colour off. It cannot be taken away again.',
  },
  {
    id: 'demo-solvent',
    kind: 'solvent',
    name: 'odourless mineral spirits',
    set: '',
    colour: null,
    note: 'Open a window, keep the cap on, no flame, away from children and pets. Follow the label and local rules for soaked buds.',
  },
  {
    id: 'demo-eraser',
    kind: 'eraser',
    name: 'kneaded eraser',
    set: '',
    colour: null,
    note: 'Press and lift; rubbing polishes the tooth.',
  },
  {
    id: 'demo-tip',
    kind: 'tip',
    name: 'silicone tip',
    set: '',
    colour: null,
    note: 'Moves pastel dust into the paper. Tap dust off, never blow it.',
  },
];
