// Draws the rooms of the code and what each of them knows, from the imports themselves:
// node scripts/architecture.mjs writes docs/architecture.svg; with --check it says whether that is still so.
import { readFileSync, writeFileSync } from 'node:fs';
import { cruise } from 'dependency-cruiser';

const FILE = 'docs/architecture.svg';
const WIDTH = 960;
const BOX = { width: 220, height: 56, gap: 40 };
const ROW = 118;
const TOP = 56;

/** What each room is for, in a few words. */
const SAYS = {
  web: 'the desk in the browser',
  server: 'keeps and serves the desk',
  demo: 'the booklet as it is laid out',
  'simulated-devices': 'scanner, camera and meter',
  fixtures: 'how its pages are drawn',
  order: 'steps of the bench',
  formats: 'files that come and go',
  plan: 'one document, edits, patches',
  pencils: 'a tray as core computes with it',
  contracts: 'what is stored and sent',
  core: 'pure computation',
};

const { output } = await cruise(
  ['src'],
  { tsPreCompilationDeps: true, doNotFollow: { path: 'node_modules' }, exclude: '\\.test\\.tsx?$|/test/' },
  { extensions: ['.ts', '.tsx'] },
);
const roomOf = (file) => /^src\/([^/]+)\//.exec(file)?.[1];
const knows = new Map();
const subjects = new Set();
for (const { source, dependencies } of output.modules) {
  const from = roomOf(source);
  if (!from) continue;
  const own = knows.get(from) ?? knows.set(from, new Set()).get(from);
  const subject = /^src\/core\/([^/]+)\//.exec(source)?.[1];
  if (subject) subjects.add(subject);
  for (const { resolved } of dependencies) {
    const to = roomOf(resolved);
    if (to && to !== from) own.add(to);
  }
}

const svg = drawn();
if (process.argv.includes('--check')) {
  if (readFileSync(FILE, 'utf8') !== svg) {
    console.error(`${FILE} shows other borders than the code has: run node scripts/architecture.mjs`);
    process.exit(1);
  }
} else writeFileSync(FILE, svg);

function drawn() {
  const level = new Map();
  const levelOf = (room) => {
    if (!level.has(room)) level.set(room, 1 + Math.max(-1, ...[...(knows.get(room) ?? [])].map(levelOf)));
    return level.get(room);
  };
  const rooms = [...knows.keys()].sort();
  const highest = Math.max(...rooms.map(levelOf));
  const place = new Map();
  for (let k = highest; k >= 0; k--) {
    const row = rooms.filter((room) => levelOf(room) === k);
    const wide = row.length * BOX.width + (row.length - 1) * BOX.gap;
    row.forEach((room, i) =>
      place.set(room, { x: (WIDTH - wide) / 2 + i * (BOX.width + BOX.gap), y: TOP + (highest - k) * ROW }),
    );
  }
  // An arrow that others imply says nothing new.
  const implied = (from, to) => [...knows.get(from)].some((between) => between !== to && reaches(between, to));
  const arrows = rooms.flatMap((from) =>
    [...knows.get(from)].filter((to) => !implied(from, to)).map((to) => arrow(place.get(from), place.get(to))),
  );
  const boxes = rooms.map((room) => {
    const { x, y } = place.get(room);
    return [
      `<rect x="${x}" y="${y}" width="${BOX.width}" height="${BOX.height}" fill="#fff" stroke="#222" />`,
      `<text x="${x + BOX.width / 2}" y="${y + 24}" class="name">src/${room}</text>`,
      `<text x="${x + BOX.width / 2}" y="${y + 43}" class="says">${SAYS[room] ?? ''}</text>`,
    ].join('\n  ');
  });
  const height = TOP + highest * ROW + BOX.height + 56;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}" font-family="sans-serif">
  <style>
    text { text-anchor: middle; fill: #222; }
    .name { font-size: 15px; font-weight: bold; }
    .says { font-size: 12px; font-weight: normal; fill: #555; }
  </style>
  <defs>
    <marker id="head" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="8" markerHeight="8" orient="auto">
      <path d="M0 0 L8 4 L0 8 z" fill="#555" />
    </marker>
  </defs>
  <rect width="100%" height="100%" fill="#f4f4f2" />
  <text x="${WIDTH / 2}" y="28" class="says">An arrow leads from who imports to what is imported; arrows that others imply are left out.</text>
  ${arrows.join('\n  ')}
  ${boxes.join('\n  ')}
  <text x="${WIDTH / 2}" y="${height - 18}" class="says">core: ${[...subjects].sort().join(', ')}</text>
</svg>
`;
}

function reaches(from, to) {
  return from === to || [...(knows.get(from) ?? [])].some((between) => reaches(between, to));
}

function arrow(from, to) {
  const [x1, y1] = [from.x + BOX.width / 2, from.y + BOX.height];
  const [x2, y2] = [to.x + BOX.width / 2, to.y];
  return `<path d="M${x1} ${y1} C${x1} ${y1 + 34} ${x2} ${y2 - 34} ${x2} ${y2 - 2}" fill="none" stroke="#555" marker-end="url(#head)" />`;
}
