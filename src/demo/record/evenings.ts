import type { NewNote, NewPracticeSeries, NewTrial } from '../../contracts/index.ts';
import { demoPencils } from '../pencils/index.ts';

/** The three finished sittings on The Ferry Steps: when each began and what was done in it. */
export const EVENINGS: readonly { begun: string; things: readonly string[] }[] = [
  { begun: '2026-05-02T18:40:00Z', things: ['Moon', 'Stars', 'Clouds', 'Far hills', 'Far houses', 'Lit windows'] },
  {
    begun: '2026-05-05T19:35:00Z',
    things: [
      'Paper lanterns',
      'Lantern fittings',
      'Lantern reflections',
      'Window reflections',
      'Brass bell',
      'Life ring',
    ],
  },
  {
    begun: '2026-05-09T18:50:00Z',
    things: ['Hull', 'Hull reflection', 'Gunwale', 'Cabin roof', 'Hut door', 'Awning', 'Tin kettle'],
  },
];

/** Families that the owner chose by hand: dark, mid and light by code, by the name of the thing. */
export const OWN_FAMILIES: Readonly<Record<string, readonly [dark: string, mid: string, light: string]>> = {
  'Dusk sky': ['QS24', 'QS22', 'QS08'],
  Moon: ['QS40', 'QS02', 'QS01'],
  Stars: ['QS05', 'QS03', 'QS02'],
  Clouds: ['QS22', 'QS59', 'QS14'],
  'Far hills': ['QS19', 'QS63', 'QS62'],
  'Far houses': ['QS51', 'QS50', 'QS21'],
  'Lit windows': ['QS56', 'QS05', 'QS02'],
  'Still water': ['QS24', 'QS65', 'QS27'],
  'Paper lanterns': ['QS07', 'QS06', 'QS03'],
  'Lantern fittings': ['QS46', 'QS45', 'QS43'],
  'Lantern reflections': ['QS09', 'QS56', 'QS08'],
  'Window reflections': ['QS41', 'QS56', 'QS02'],
  'Brass bell': ['QS45', 'QS41', 'QS05'],
  'Life ring': ['QS12', 'QS11', 'QS59'],
  Hull: ['QS13', 'QS11', 'QS09'],
  'Hull reflection': ['QS44', 'QS09', 'QS59'],
  Gunwale: ['QS46', 'QS71', 'QS42'],
  'Cabin roof': ['QS32', 'QS67', 'QS66'],
  'Hut door': ['QS32', 'QS31', 'QS30'],
  Awning: ['QS13', 'QS58', 'QS59'],
  'Tin kettle': ['QS52', 'QS72', 'QS50'],
};

/** What was written down about them. */
export const demoNotes: readonly NewNote[] = [
  {
    id: 'demo-note-1',
    kind: 'note',
    text: 'Turned the book so that the hills ran away from me: the strokes came out far more even. The sky waits for an evening of its own.',
    at: '2026-05-02T19:04:00Z',
  },
  {
    id: 'demo-note-2',
    kind: 'mistake',
    text: 'Dragged a dark blue into the yellow of the third lantern with the side of my hand. Lifted what would come off with the kneaded eraser, then pressed orange over it; it reads as a shadow now. Next time: a sheet under the hand, and yellows first.',
    at: '2026-05-05T20:02:00Z',
  },
  {
    id: 'demo-note-3',
    kind: 'note',
    text: 'The lamp in the kitchen makes every blue look grey. Checked the hills again by the window next morning: they are fine.',
    at: '2026-05-06T08:15:00Z',
  },
  {
    id: 'demo-note-4',
    kind: 'note',
    text: 'A sharp point only along the gunwale and the door irons; everything else with the worn one.',
    at: '2026-05-09T19:12:00Z',
  },
];

type TrialPass = [code: string, pressure: NewTrial['passes'][number]['pressure']];

/** Swatches laid on scrap of the same paper before the page was touched. */
export const demoTrials: readonly NewTrial[] = [
  trial(
    1,
    'Lantern glow',
    '2026-05-01T18:20:00Z',
    true,
    'Warm right to the edge, and the paper still shows in the middle.',
    ['QS02', 'whisper'],
    ['QS05', 'light'],
    ['QS06', 'medium'],
  ),
  trial(
    2,
    'Dusk in three blues',
    '2026-05-01T18:32:00Z',
    true,
    'No step to be seen between them after the second light pass.',
    ['F-128', 'light'],
    ['F-131', 'light'],
    ['F-133', 'medium'],
  ),
  trial(
    3,
    'Blue into yellow',
    '2026-05-01T18:45:00Z',
    false,
    'Goes green and dull. Keep an edge of bare paper between them.',
    ['QS24', 'medium'],
    ['QS05', 'medium'],
  ),
  trial(
    4,
    'Brass without black',
    '2026-05-04T19:00:00Z',
    true,
    'The brown is dark enough; black made it look like lead.',
    ['QS41', 'medium'],
    ['QS45', 'light'],
    ['QS05', 'burnish'],
  ),
];

function trial(n: number, title: string, at: string, kept: boolean, said: string, ...passes: TrialPass[]): NewTrial {
  const pencils = demoPencils();
  return {
    id: `demo-trial-${n}`,
    title,
    at,
    kept,
    said,
    paper: 'white-book',
    passes: passes.map(([code, pressure]) => {
      const { set, colour, type } = pencils.find((pencil) => pencil.code === code)!;
      return { code, set, colour, type, pressure };
    }),
  };
}

/** Drills done again and again. */
export const demoPractice: readonly NewPracticeSeries[] = [
  series(
    1,
    'Even laydown',
    'Nine spots of one light pass, read by the meter: 1 is no difference that an eye can see.',
    [
      ['2026-04-12T18:00:00Z', 0.46, 'Stripes from gripping too near the point.'],
      ['2026-04-14T18:10:00Z', 0.55, ''],
      ['2026-04-17T19:30:00Z', 0.52, 'Tired.'],
      ['2026-04-21T18:05:00Z', 0.64, 'Small circles instead of rows.'],
      ['2026-04-25T17:45:00Z', 0.71, ''],
      ['2026-04-30T18:20:00Z', 0.74, 'Long pencil, grip far back.'],
    ],
  ),
  series(
    2,
    'Smooth blend, yellow to red',
    'The largest step along the strip against an even one: 1 has no step larger than it must be.',
    [
      ['2026-04-13T18:20:00Z', 0.38, 'A hard line where orange began.'],
      ['2026-04-18T18:00:00Z', 0.49, ''],
      ['2026-04-22T19:10:00Z', 0.61, 'Overlapped by a third.'],
      ['2026-04-27T18:30:00Z', 0.66, ''],
      ['2026-05-03T17:50:00Z', 0.72, 'Yellow over everything at the end.'],
    ],
  ),
];

function series(
  n: number,
  drill: string,
  measure: string,
  attempts: readonly [string, number, string][],
): NewPracticeSeries {
  return {
    id: `demo-practice-${n}`,
    drill,
    measure,
    attempts: attempts.map(([at, score, note]) => ({ at, score, note })),
  };
}
