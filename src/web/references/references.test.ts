import { expect } from 'chai';
import type { Reference } from '../../contracts/index.ts';
import { pinnedTo } from './pinned-to.ts';

const picture = (id: string, thingId: string | null) => ({ id, thingId }) as Reference;

describe('pinned pictures', () => {
  const pictures = [picture('of-sheet', null), picture('of-kettle', 'kettle'), picture('of-none', 'taken-apart')];
  const shown = (thingId: string | null) => pinnedTo(thingId, pictures, [{ id: 'kettle' }]).map(({ id }) => id);

  it('belong to their thing or to the sheet', () => expect(shown('kettle')).to.deep.equal(['of-kettle']));

  it('go to the sheet when their thing is taken apart, so that none is lost from view', () =>
    expect(shown(null)).to.deep.equal(['of-sheet', 'of-none']));
});
