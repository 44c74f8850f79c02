import { expect } from 'chai';
import fc from 'fast-check';
import { linesOf } from './take.ts';

const streamOf = (pieces: readonly Uint8Array[]) =>
  new ReadableStream<Uint8Array>({
    start(controller) {
      for (const piece of pieces) controller.enqueue(piece);
      controller.close();
    },
  });
const read = async (pieces: readonly Uint8Array[]) => {
  const lines: string[] = [];
  for await (const line of linesOf(streamOf(pieces))) lines.push(line);
  return lines;
};

describe('what a device says while it works', () => {
  it('comes in whole lines however it is cut on the way', async () => {
    const line = fc.string({ minLength: 1, maxLength: 30, unit: fc.constantFrom('a', '{', '"', 'é', '…', '7') });
    await fc.assert(
      fc.asyncProperty(fc.array(line, { maxLength: 8 }), fc.integer({ min: 1, max: 9 }), async (lines, cut) => {
        const bytes = new TextEncoder().encode(lines.map((each) => `${each}\n`).join(''));
        const pieces = Array.from({ length: Math.ceil(bytes.length / cut) }, (_, i) =>
          bytes.subarray(i * cut, (i + 1) * cut),
        );
        expect(await read(pieces)).to.deep.equal(lines);
      }),
    );
  });

  it('ends with a line that was not ended', async () => {
    expect(await read([new TextEncoder().encode('{"share":1}\n{"picture"')])).to.deep.equal([
      '{"share":1}',
      '{"picture"',
    ]);
  });
});
