import { expect } from 'chai';
import { type Command, type Refusal, type SheetState, emptyPlan } from '../../contracts/index.ts';
import { type PlanEdit, patched } from '../../plan/index.ts';

// The store asks the server of the page that it is on; here that page, the server, and what it is shown by, are made up.
Object.assign(globalThis, {
  location: { origin: 'http://desk.test', pathname: '/', search: '', assign: () => undefined },
});

/** A server with one sheet, which answers when it is let. */
class FakeServer {
  sheet: SheetState;
  readonly asked: string[] = [];
  refusal: { status: number; body: Refusal } | null = null;
  #gate: Promise<void> = Promise.resolve();
  #history: SheetState['plan'][] = [];

  constructor(id: string) {
    const plan = emptyPlan({ widthMm: 210, heightMm: 210, paper: 'white-book' });
    this.sheet = { id, plan, revision: 3, undo: null, redo: null } as SheetState;
    globalThis.fetch = ((request: Request) => this.#answer(request)) as typeof fetch;
  }

  /** Keeps answers back until the returned function is called. */
  holdBack(): () => void {
    let open!: () => void;
    this.#gate = new Promise((resolve) => (open = resolve));
    return open;
  }

  async #answer(request: Request): Promise<Response> {
    const { pathname } = new URL(request.url);
    const body = request.method === 'POST' ? ((await request.json()) as unknown) : null;
    this.asked.push(`${request.method} ${pathname.split('/').at(-1)}`);
    await this.#gate;
    if (this.refusal && request.method === 'POST') {
      const { status, body: refused } = this.refusal;
      this.refusal = null;
      return Response.json(refused, { status });
    }
    if (pathname.endsWith('/commands')) {
      this.#history.push(this.sheet.plan);
      this.change(patched(this.sheet.plan, (body as Command).patches), (body as Command).label);
    } else if (pathname.endsWith('/undo')) {
      expect((body as { baseRevision: number }).baseRevision).to.equal(this.sheet.revision);
      this.change(this.#history.pop()!, null);
    }
    return Response.json(this.sheet);
  }

  change(plan: SheetState['plan'], undo: string | null): void {
    this.sheet = { ...this.sheet, plan, undo, revision: this.sheet.revision + 1 };
  }
}

describe('changes to a plan', () => {
  let api: typeof import('./use-plan.ts');
  let server: FakeServer;
  let shown: () => SheetState;
  let made = 0;

  before(async () => {
    api = await import('./use-plan.ts');
  });

  beforeEach(async () => {
    const id = `sheet-${++made}`;
    server = new FakeServer(id);
    const { store } = await import('../app/store.ts');
    const { deskApi } = await import('./desk-api.ts');
    await store.dispatch(deskApi.endpoints.sheet.initiate(id));
    shown = () => deskApi.endpoints.sheet.select(id)(store.getState()).data!;
  });

  const anchor =
    (degrees: number): PlanEdit =>
    (plan) =>
      void (plan.wheel.anchor = degrees);
  const change = (edit: PlanEdit) => api.changePlan(server.sheet.id, 'wheel', 'turn the wheel', edit);

  it('are shown at once, before the server knows', async () => {
    const open = server.holdBack();
    const sent = change(anchor(200));
    expect(shown().plan.wheel.anchor).to.equal(200);
    expect(server.sheet.plan.wheel.anchor).to.equal(60);
    open();
    await sent;
    expect([shown().revision, shown().undo]).to.deep.equal([4, 'turn the wheel']);
  });

  it('go one after the other; an answer to an earlier one takes no later one off the screen', async () => {
    const open = server.holdBack();
    const first = change(anchor(200));
    const second = change((plan) => void (plan.page.paper = 'cream-sheet'));
    open();
    await first;
    expect(shown().plan.page.paper).to.equal('cream-sheet');
    await second;
    expect(server.sheet.plan).to.deep.equal(shown().plan);
    expect(server.asked.filter((what) => what === 'POST commands')).to.have.length(2);
  });

  it('that change nothing are not sent', async () => {
    await change(anchor(60));
    expect(server.asked).to.deep.equal(['GET ' + server.sheet.id]);
  });

  it('that cannot be stored are not made, nor sent', async () => {
    await change((plan) => void (plan.page.widthMm = 1));
    expect(shown().plan.page.widthMm).to.equal(210);
    expect(server.asked).to.have.length(1);
  });

  it('that the server refuses are taken back', async () => {
    server.refusal = { status: 422, body: { sentence: 'This is not right.' } };
    const sent = change(anchor(200));
    expect(shown().plan.wheel.anchor).to.equal(200);
    await sent;
    expect(shown().plan.wheel.anchor).to.equal(60);
  });

  it('that meet another device’s leave that standing here, too', async () => {
    server.change(patched(server.sheet.plan, [{ path: ['wheel', 'anchor'], value: 10 }]), 'elsewhere');
    const conflict = { here: 'turn the wheel', there: 'turn it elsewhere' };
    server.refusal = { status: 409, body: { sentence: 'This was changed elsewhere.', conflict } };
    await change(anchor(200));
    expect(shown().plan.wheel.anchor).to.equal(10);
  });

  it('are taken back by undo, which waits for what is under way', async () => {
    const open = server.holdBack();
    const sent = change(anchor(200));
    const back = api.stepBack(server.sheet.id, 'undo');
    open();
    await Promise.all([sent, back]);
    expect(server.asked.slice(1)).to.deep.equal(['POST commands', 'POST undo']);
    expect(shown().plan.wheel.anchor).to.equal(60);
  });

  it('of one sheet do not wait for those of another', async () => {
    const open = server.holdBack();
    const slow = change(anchor(200));
    const other = new FakeServer('sheet-other');
    const { store } = await import('../app/store.ts');
    const { deskApi } = await import('./desk-api.ts');
    await store.dispatch(deskApi.endpoints.sheet.initiate('sheet-other'));
    await api.changePlan('sheet-other', 'wheel', 'turn the wheel', anchor(120));
    expect(other.sheet.plan.wheel.anchor).to.equal(120);
    open();
    await slow;
  });
});
