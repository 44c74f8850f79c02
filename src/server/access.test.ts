import { expect } from 'chai';
import pino from 'pino';
import supertest from 'supertest';
import { createApp } from './app.ts';
import { type Access, prepareAccess } from './access.ts';
import { DEMO_SHEETS, emptyDesk } from './test/desk.ts';

const CODE = 'lantern-night';
const TABLET = { Host: 'desk.test:4180', Origin: 'http://desk.test:4180' };

async function withAccess() {
  const { db } = await emptyDesk();
  const access: Access = { ...(await prepareAccess(db, CODE)), hosts: ['desk.test'] };
  const open = (with_: Access | null) =>
    supertest.agent(
      createApp({ db, log: pino({ level: 'silent' }), demoSheets: DEMO_SHEETS, web: null, access: with_ }),
    );
  return { db, access, tablet: open(access).set(TABLET), open };
}

describe('the access to other devices', () => {
  it('lets a tablet in once it gave the code, and not before', async () => {
    const { tablet } = await withAccess();
    const { status, body } = await tablet.get('/api/sheets');
    expect(status).to.equal(401);
    expect(body.sentence).to.contain('access code');
    expect((await tablet.post('/api/access').send({ code: 'guess' })).status).to.equal(403);
    expect((await tablet.get('/api/sheets')).status).to.equal(401);
    const { headers } = await tablet.post('/api/access').send({ code: CODE }).expect(200);
    const cookies = [headers['set-cookie']].flat().join();
    expect(cookies)
      .to.match(/httponly/i)
      .and.to.match(/samesite=strict/i);
    expect((await tablet.get('/api/sheets')).status).to.equal(200);
  });

  it('asks nothing of who sits at the desk itself', async () => {
    const { access, open } = await withAccess();
    expect((await open(access).set('Host', 'localhost').get('/api/sheets')).status).to.equal(200);
  });

  it('stays shut to other names, to other sites, and where it was never opened', async () => {
    const { access, open } = await withAccess();
    expect((await open(access).set('Host', 'elsewhere.test').get('/api/sheets')).status).to.equal(403);
    const foreign = open(access).set({ Host: 'desk.test', Origin: 'http://other.test' });
    expect((await foreign.post('/api/access').send({ code: CODE })).status).to.equal(403);
    expect((await open(null).set(TABLET).post('/api/access').send({ code: CODE })).status).to.equal(403);
  });

  it('hears ten wrong codes and then no more for a while', async () => {
    const { tablet } = await withAccess();
    for (let i = 0; i < 10; i++)
      expect((await tablet.post('/api/access').send({ code: `x${i}` })).status).to.equal(403);
    const { status, body } = await tablet.post('/api/access').send({ code: CODE });
    expect(status).to.equal(429);
    expect(body.sentence).to.contain('quarter of an hour');
  });

  it('ends what was begun with another code, and takes no short one', async () => {
    const { db, tablet, open } = await withAccess();
    const { headers } = await tablet.post('/api/access').send({ code: CODE }).expect(200);
    const cookie = [headers['set-cookie']]
      .flat()
      .map((each) => String(each).split(';')[0])
      .join('; ');
    const changed = { ...(await prepareAccess(db, 'another code')), hosts: ['desk.test'] };
    expect(
      (
        await open(changed)
          .set({ ...TABLET, Cookie: cookie })
          .get('/api/sheets')
      ).status,
    ).to.equal(401);
    const fault = await prepareAccess(db, 'short').catch((error: Error) => error);
    expect(fault).to.be.instanceOf(RangeError);
  });
});
