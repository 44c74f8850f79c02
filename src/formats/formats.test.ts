import { expect } from 'chai';
import fc from 'fast-check';
import { gplOf, readGpl } from './gpl-text.ts';
import { fileOf, safeName } from './file-format.ts';
import { TRAY_FORMATS, readPencils } from './index.ts';
import { regionsDrawing } from './sheets/regions-drawing.ts';
import { CSV_COLUMNS, readPencilRows } from './trays/index.ts';

describe('a list of pencils', () => {
  it('is read whatever the columns are called and in whatever order they stand', () => {
    const { pencils, faults } = readPencilRows([
      ['Hex', 'No', 'Kind', 'Opacity'],
      ['#C8202F', '12', 'oil', '0,2'],
      ['2b4', '13', '', ''],
    ]);
    expect(faults).to.deep.equal([]);
    expect(pencils).to.deep.equal([
      { code: '12', name: '', set: '', type: 'oil', colour: '#c8202f', opacity: 0.2 },
      { code: '13', name: '', set: '', type: 'wax', colour: '#22bb44', opacity: null },
    ]);
  });

  it('keeps the good rows and says of each bad one what is wrong and where', () => {
    const { pencils, faults } = readPencilRows([
      ['code', 'colour', 'type', 'opacity'],
      ['A1', '#112233', '', ''],
      ['', '#112233', '', ''],
      ['A2', 'reddish', '', ''],
      ['A3', '#112233', 'crayon', ''],
      ['A4', '#112233', '', '7'],
      ['A1', '#445566', '', ''],
      ['', '', '', ''],
    ]);
    expect(pencils.map((pencil) => pencil.code)).to.deep.equal(['A1']);
    expect(faults.map((fault) => fault.line)).to.deep.equal([3, 4, 5, 6, 7]);
    expect(faults.map((fault) => fault.sentence).join(' ')).to.match(
      /no code.*reddish.*crayon.*between 0 and 1.*twice/,
    );
  });

  it('asks for the columns it needs when they are not named', () => {
    expect(
      readPencilRows([
        ['a', 'b'],
        ['1', '2'],
      ]).faults[0].sentence,
    ).to.contain('code,name,colour,type');
    expect(readPencilRows([]).faults).to.have.length(1);
  });
});

describe('a tray taken away and brought back', () => {
  const word = fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,8}){0,2}$/);
  const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
  const pencil = fc.record({
    code: fc.stringMatching(/^[A-Z]{1,3}[0-9]{1,4}$/),
    name: word,
    set: fc.constantFrom('', 'Tide', 'Quay'),
    type: fc.constantFrom('wax', 'oil', 'pastel', 'water-soluble'),
    colour: hex,
    opacity: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
  });
  const tray = fc.uniqueArray(pencil, { selector: ({ set, code }) => `${set} ${code}`, maxLength: 20 });

  it('as CSV is the same, pencil by pencil, though two sets use the same code', () => {
    fc.assert(
      fc.property(tray, (pencils) => {
        const rows = pencils.map((one) => CSV_COLUMNS.map((column) => String(one[column] ?? '')));
        expect(readPencilRows([[...CSV_COLUMNS], ...rows])).to.deep.equal({ pencils, faults: [] });
      }),
    );
  });

  it('as a GPL palette keeps colours, codes and names', () => {
    fc.assert(
      fc.property(tray, word, (pencils, name) => {
        const { colours, faults } = readGpl(gplOf(name, pencils));
        expect(faults).to.deep.equal([]);
        expect(colours).to.deep.equal(pencils.map(({ code, name: own, colour }) => ({ code, name: own, colour })));
      }),
    );
  });

  it('as a palette with lines that cannot be read keeps the rest and says which; a palette of others is numbered', () => {
    const text = 'GIMP Palette\nName: x\n#\n200 32 47\tsail red\n300 0 0 too much\nred\n12 13 14';
    const { colours, faults } = readGpl(text);
    expect(colours.map(({ code, name }) => [code, name])).to.deep.equal([
      ['1', 'sail red'],
      ['2', ''],
    ]);
    expect(faults.map(({ line }) => line)).to.deep.equal([5, 6]);
    expect(() => readGpl('code,colour')).to.throw(RangeError, 'no GPL palette');
  });
});

describe('regions as a drawing', () => {
  const square = (x: number, y: number, side: number) =>
    Float64Array.from([x, y, x + side, y, x + side, y + side, x, y + side]);

  it('is in real millimetres, one path a region under the name of its thing, holes and all', () => {
    const svg = regionsDrawing({ title: 'A & B', widthMm: 20, heightMm: 10, pixelsPerMm: 10 }, [
      { name: '', regions: [{ id: 3, rings: [square(0, 0, 50)] }] },
      { name: 'Ring <1>', regions: [{ id: 1, rings: [square(100, 0, 100), square(120, 20, 33)] }] },
    ]);
    expect(svg).to.contain('width="20mm" height="10mm" viewBox="0 0 20 10"').and.to.contain('A &amp; B');
    expect(svg).to.contain('<path id="region-3" d="M0 0L5 0L5 5L0 5Z"/>');
    expect(svg).to.contain('Ring &lt;1&gt;').and.to.contain('d="M10 0L20 0L20 10L10 10ZM12 2L15.3 2L15.3 5.3L12 5.3Z"');
  });
});

describe('files to be saved', () => {
  it('have a name that every desk can write, whatever it was called', () => {
    fc.assert(
      fc.property(fc.string(), (name) => {
        expect(safeName(name)).to.match(/^[^\\/:*?"<>|\p{Cc}]{1,100}$/u);
      }),
    );
  });

  it('of a tray hold nothing that a table program would take for a formula', () => {
    const pencil = { code: '=1+1', name: '+cmd', set: '@x', type: 'wax', colour: '#4c5a2e', opacity: null };
    const content = { name: 'A tray', pencils: [pencil as never] };
    const [csv] = TRAY_FORMATS.filter(({ extension }) => extension === 'csv');
    const { text } = fileOf('A tray', content, csv);
    for (const cell of ['=1+1', '+cmd', '@x']) expect(text).to.contain(`'${cell}`);
  });

  it('of a tray come back with every code and colour, from each format', () => {
    const colour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
    fc.assert(
      fc.property(fc.array(colour, { minLength: 1, maxLength: 12 }), (colours) => {
        const pencils = colours.map((own, i) => ({
          code: `K${i}`,
          name: 'kelp',
          set: 'Tide',
          type: 'wax',
          colour: own,
          opacity: null,
        }));
        for (const format of TRAY_FORMATS) {
          const { text } = fileOf('A tray', { name: 'A tray', pencils: pencils as never }, format);
          expect(readPencils(text).pencils.map(({ code, colour: read }) => [code, read])).to.deep.equal(
            pencils.map(({ code, colour: own }) => [code, own]),
          );
        }
      }),
    );
  });
});
