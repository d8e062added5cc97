import { visitRecord } from '@tests/fixtures/visit-record';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { CODE_OF_STATUS } from '@/contract/operation';
import type { StepRecord } from '@/core/visit/contents';
import { readDraft } from './drafts';
import { VisitStore } from './visit-store';

const visit = (steps: StepRecord[] = [], closedAt: string | null = null) => visitRecord({ steps, closedAt });
const ID = visit().id;
const asked = (falls: number, revision: number, savedBy = 'Somebody Else'): StepRecord => ({
  step: 'ask',
  state: 'in-progress',
  revision,
  content: { findings: { body: { falls } } },
  savedBy,
  savedAt: '2030-01-01T09:00:00Z',
});
const falls = (count: number) => ({ findings: { body: { falls: count } } });

interface Sent {
  revision: number;
  content: unknown;
}
let sent: Sent[];
let answer: (request: Sent) => Response | Promise<Response>;
const json = (status: number, body: object) =>
  new Response(JSON.stringify({ status, code: CODE_OF_STATUS[status], ...body }), { status });
const accepts = ({ revision }: Sent) => json(200, { revision: revision + 1 });
const settle = () => vi.advanceTimersByTimeAsync(600);

beforeEach(() => {
  vi.useFakeTimers();
  sent = [];
  answer = accepts;
  vi.stubGlobal('document', { documentElement: { dataset: { person: 'me' } } });
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  });
  vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
    const request = JSON.parse(body) as Sent;
    sent.push(request);
    return answer(request);
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('saving as you go', () => {
  it('saves once after the typing stops, at the revision it knows, and drops the draft', async () => {
    const store = new VisitStore(visit());
    store.change('ask', falls(1));
    store.change('ask', falls(2));
    expect(readDraft(ID, 'ask')?.content).toEqual(falls(2));
    await settle();
    expect(sent).toEqual([{ revision: 0, state: 'in-progress', content: falls(2) }]);
    expect(store.snapshot().steps.ask).toMatchObject({ saving: 'saved', revision: 1, state: 'in-progress' });
    expect(readDraft(ID, 'ask')).toBeNull();
  });

  it('what is typed during a save is saved next', async () => {
    const store = new VisitStore(visit());
    answer = (request) => {
      if (request.revision === 0) store.change('ask', falls(2));
      return accepts(request);
    };
    store.change('ask', falls(1));
    await settle();
    await settle();
    expect(sent.map((request) => request.content)).toEqual([falls(1), falls(2)]);
    expect(sent[1]!.revision).toBe(1);
    expect(store.snapshot().steps.ask.saving).toBe('saved');
  });

  it('begins an untouched step, takes up a skipped one, and leaves a finished one finished', async () => {
    const store = new VisitStore(visit([{ ...asked(1, 3), state: 'done' }]));
    store.change('ask', falls(2));
    store.setState('load', 'skipped');
    store.change('load', { findings: { left: { heelRises: 3 } } });
    store.change('feet', { findings: { left: { arch: 'low' } } });
    expect(['ask', 'load', 'feet'].map((step) => store.snapshot().steps[step as 'ask'].state)).toEqual([
      'done',
      'in-progress',
      'in-progress',
    ]);
  });

  it('changes nothing of a visit that was handed over', async () => {
    const store = new VisitStore(visit([asked(1, 2)], '2030-01-01T10:00:00Z'));
    store.change('ask', falls(9));
    await settle();
    expect(sent).toEqual([]);
    expect(store.content('ask')).toEqual(falls(1));
  });

  it('flush saves at once and says whether everything arrived', async () => {
    const store = new VisitStore(visit());
    store.change('ask', falls(1));
    expect(await store.flush()).toBe(true);
    answer = () =>
      json(422, {
        title: 'Some values cannot be accepted.',
        errors: [{ path: ['content', 'findings', 'body', 'falls'], message: 'No.' }],
      });
    store.change('ask', falls(2));
    expect(await store.flush()).toBe(false);
    expect(store.snapshot().steps.ask).toMatchObject({ saving: 'refused', errors: [{ message: 'No.' }] });
  });
});

describe('a save under way', () => {
  it('is waited for by flush, and what came since follows it', async () => {
    const store = new VisitStore(visit());
    let arrive: (response: Response) => void = () => {};
    answer = () => new Promise((resolve) => (arrive = resolve));
    store.change('ask', falls(1));
    await settle();
    expect(store.snapshot().steps.ask.saving).toBe('saving');
    store.change('ask', falls(2));
    const flushed = store.flush();
    const first = arrive;
    answer = accepts;
    first(accepts({ revision: 0, content: null }));
    expect(await flushed).toBe(true);
    expect(sent.map(({ content }) => content)).toEqual([falls(1), falls(2)]);
    expect(sent.at(-1)!.revision).toBe(1);
  });
});

describe('bad days', () => {
  it('without a connection it keeps the draft and tries again by itself', async () => {
    const store = new VisitStore(visit());
    answer = () => Promise.reject(new TypeError('no network'));
    store.change('ask', falls(1));
    await settle();
    expect(store.snapshot().steps.ask.saving).toBe('offline');
    expect(readDraft(ID, 'ask')?.content).toEqual(falls(1));
    answer = accepts;
    await vi.advanceTimersByTimeAsync(3500);
    expect(store.snapshot().steps.ask.saving).toBe('saved');
  });

  it('an expired sign-in waits, and saves after signing in again', async () => {
    const store = new VisitStore(visit());
    answer = () => json(401, {});
    store.change('ask', falls(1));
    await settle();
    expect(store.snapshot().steps.ask.saving).toBe('signed-out');
    await vi.advanceTimersByTimeAsync(10_000);
    expect(sent).toHaveLength(1);
    answer = accepts;
    store.retry();
    await settle();
    expect(store.snapshot().steps.ask.saving).toBe('saved');
  });

  it('restores an unsaved draft after a reload and saves it', async () => {
    answer = () => Promise.reject(new TypeError('no network'));
    new VisitStore(visit()).change('ask', falls(4));
    await settle();
    answer = accepts;
    const store = new VisitStore(visit());
    expect(store.restore()).toEqual(['ask']);
    expect(store.content('ask')).toEqual(falls(4));
    await settle();
    expect(store.snapshot().steps.ask.saving).toBe('saved');
    expect(new VisitStore(visit([asked(4, 1)])).restore()).toEqual([]);
  });

  it('keeps typed text that is no value yet, through a save and a reload', async () => {
    const store = new VisitStore(visit());
    store.change('feet', { findings: {} }, { 'left.footLength': 'ten and a bit' });
    await settle();
    const record: StepRecord = { ...asked(0, 1), step: 'feet', content: { findings: {} } };
    const again = new VisitStore(visit([record]));
    again.restore();
    expect(again.snapshot().steps.feet.typed).toEqual({ 'left.footLength': 'ten and a bit' });
    expect(again.snapshot().steps.feet.saving).toBe('saved');
  });
});

describe('two people', () => {
  it('a save that comes second shows the other version and overwrites nothing', async () => {
    const store = new VisitStore(visit([asked(1, 1)]));
    answer = () => json(409, { title: 'Somebody Else saved this step before you.', current: asked(7, 2) });
    store.change('ask', falls(3));
    await settle();
    const entry = store.snapshot().steps.ask;
    expect(entry).toMatchObject({ saving: 'conflict', message: 'Somebody Else saved this step before you.' });
    expect(entry.theirs?.content).toEqual(falls(7));
    store.change('ask', falls(4));
    await settle();
    expect(sent).toHaveLength(1);
    answer = accepts;
    store.settle('ask', falls(7));
    await settle();
    expect(sent[1]).toMatchObject({ revision: 2, content: falls(7) });
    expect(store.snapshot().steps.ask).toMatchObject({ saving: 'saved', theirs: null });
  });

  it('a draft older than what stands is shown beside it after a reload', () => {
    const store = new VisitStore(visit());
    store.change('ask', falls(4));
    const again = new VisitStore(visit([asked(7, 3)]));
    again.restore();
    expect(again.snapshot().steps.ask).toMatchObject({ saving: 'conflict', theirs: { revision: 3 } });
  });

  it('one’s own save whose answer got lost is no second person', async () => {
    const store = new VisitStore(visit());
    answer = () => Promise.reject(new TypeError('the answer got lost'));
    store.change('ask', falls(1));
    await settle();
    store.change('ask', falls(2));
    answer = (request) =>
      request.revision === 0 ? json(409, { title: 'told', current: asked(1, 1, 'Me') }) : accepts(request);
    await settle();
    await settle();
    expect(store.snapshot().steps.ask).toMatchObject({ saving: 'saved', revision: 2, theirs: null });
    expect(sent.at(-1)).toMatchObject({ revision: 1, content: falls(2) });
  });

  it('takes over what somebody else saved in a step one has not touched', async () => {
    const store = new VisitStore(visit([asked(1, 1)]));
    vi.stubGlobal('fetch', async (url: string) =>
      url.endsWith('/presence')
        ? json(200, { others: [{ name: 'Ines', step: 'ask', seenAt: '' }], revisions: { ask: 2 } })
        : json(200, visit([asked(5, 2)])),
    );
    await store.announcePresence('feet');
    expect(store.snapshot().others).toMatchObject([{ name: 'Ines' }]);
    expect(store.content('ask')).toEqual(falls(5));
  });
});

describe('taking an entry back', () => {
  const body = (values: object) => ({ findings: { body: values } });

  it('goes back entry by entry, whatever step they were made in, and saves what stands then', async () => {
    const store = new VisitStore(visit());
    expect(store.snapshot().undoable).toBeNull();
    store.change('ask', body({ falls: 1 }));
    store.change('feet', { findings: { left: { footLength: 262 } } });
    store.change('ask', body({ falls: 1, standingHours: 4 }));
    expect(store.undo()).toBe('ask');
    expect(store.content('ask')).toEqual(body({ falls: 1 }));
    expect(store.snapshot().undoable).toBe('feet');
    expect(store.undo()).toBe('feet');
    expect(store.content('feet')).toEqual({ findings: {} });
    await settle();
    expect(sent.map(({ content }) => content)).toEqual([body({ falls: 1 }), { findings: {} }]);
    expect(store.undo()).toBe('ask');
    expect(store.undo()).toBeNull();
  });

  it('takes what was typed into one field for one entry', () => {
    const store = new VisitStore(visit());
    for (const standingHours of [1, 10, 10.5]) store.change('ask', body({ falls: 2, standingHours }));
    store.undo();
    expect(store.content('ask')).toEqual(body({ falls: 2, standingHours: 1 }));
    store.undo();
    expect(store.content('ask')).toEqual({ findings: {} });
  });

  it('does not reach behind what somebody else saved, nor behind a turn to another pair', async () => {
    const store = new VisitStore(visit());
    store.change('ask', falls(1));
    answer = () => json(409, { title: 'saved before you', current: asked(5, 3) });
    await settle();
    store.settle('ask', falls(5));
    expect(store.undo()).toBeNull();
    store.change('try-on', { tryOns: [] });
    store.turnTo({ reason: {}, candidates: {}, 'try-on': {}, 'hand-over': {} });
    expect(store.undo()).toBeNull();
  });

  it('changes nothing on a closed visit', () => {
    const store = new VisitStore(visit([], '2031-01-01T10:00:00Z'));
    store.change('ask', falls(1));
    expect(store.undo()).toBeNull();
  });
});
