import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { settle, settleUntil, settleUntilGone, settleUntilSaid } from '@tests/fixtures/acting';
import { savedStep, visitRecord } from '@tests/fixtures/visit-record';
import { serve, stubWorkers } from '@tests/fixtures/visit-view';
import { afterAll, afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { VisitRecord } from '@/contract/records';
import { definitionOf } from '@/core/findings/findings';
import { VisitTable } from './VisitTable';

/** A visit of its own for every test: what an earlier one still saves is not taken for this one’s. */
let ID = '';
const STANDING = definitionOf('hoursStanding').label;
const SAVE = (step: string) => `PUT /visits/${ID}/steps/${step}`;

beforeEach(() => {
  ID = crypto.randomUUID();
  localStorage.clear();
  location.hash = '';
  stubWorkers({});
});
afterEach(() => {
  cleanup();
  // What a page still sends when it goes is not sent to anybody.
  serve({});
});
afterAll(() => vi.unstubAllGlobals());

/** A step comes when it is opened. */
const opened = () => settleUntilGone('Opening …');

async function show(visit: Partial<VisitRecord> = {}) {
  const shown = render(<VisitTable visit={visitRecord({ id: ID, ...visit })} />);
  await opened();
  return shown;
}
const go = async (step: string) => {
  location.hash = step;
  fireEvent(window, new HashChangeEvent('hashchange'));
  await opened();
};
const standing = () => screen.getByLabelText(STANDING);
const type = (value: string) => fireEvent.change(standing(), { target: { value } });
const accepted = () => ({
  body: { revision: 1, savedBy: 'Test Reader', savedAt: '2030-01-01T09:01:00.000Z' },
});
const conflict = (content: object) => ({
  status: 409,
  body: {
    status: 409,
    code: 'conflict',
    title: 'Somebody Else saved this step before you.',
    current: savedStep('ask', content as { findings: object }, { revision: 2 }),
  },
});

describe('the visit table', () => {
  it('opens on the first step; an issued visit on its hand-over, read only', async () => {
    serve({});
    await show();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Ask');
    cleanup();
    await show({ closedAt: '2030-01-02T09:00:00.000Z', closedBecause: 'review only' });
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Hand-over');
    expect(screen.queryByRole('button', { name: /^Done/ })).toBeNull();
  });

  it('a step that is done leads to the next; one skipped on purpose says so in the spine', async () => {
    serve({});
    await show();
    fireEvent.click(screen.getByRole('button', { name: /^Done, on to/ }));
    await settle();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Old pair');
    fireEvent.click(screen.getByRole('button', { name: 'Skip on purpose' }));
    await settle();
    const spine = screen.getByRole('navigation');
    expect(within(spine).getByRole('button', { name: /Ask/ }).textContent).toContain('done');
    expect(within(spine).getByRole('button', { name: /Old pair/ }).textContent).toContain('skipped');
  });

  it('an address with a step opens it, an unknown one is passed over', async () => {
    serve({});
    await show();
    await go('warnings');
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Warning signs');
    await go('nowhere');
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Warning signs');
  });
});

describe('saving as seen', () => {
  it('what is typed is saved once the typing stops, and the line says so', async () => {
    const calls = serve({ [SAVE('ask')]: accepted });
    await show();
    type('2');
    await settleUntilSaid('saved');
    const saves = calls.filter(({ path }) => path.includes(`${ID}/steps/`));
    expect(saves).toHaveLength(1);
    expect(saves[0]!.body).toMatchObject({
      revision: 0,
      content: { findings: { body: { hoursStanding: 2 } } },
    });
    expect(screen.getByText('saved')).toBeTruthy();
  });

  it('somebody saved first: both values side by side, one is chosen, nothing is overwritten unasked', async () => {
    let answers = 0;
    const calls = serve({
      [SAVE('ask')]: () => {
        answers += 1;
        return answers === 1 ? conflict({ findings: { body: { hoursStanding: 4 } } }) : accepted();
      },
    });
    await show();
    type('2');
    await settleUntil(() => screen.queryByRole('alert', { name: 'Two versions' }) !== null);
    const panel = screen.getByRole('alert', { name: 'Two versions' });
    const row = within(panel).getByRole('row', { name: new RegExp(STANDING) });
    expect(
      within(row)
        .getAllByRole('radio')
        .map((radio) => (radio as HTMLInputElement).checked),
    ).toEqual([true, false]);
    expect(row.textContent).toMatch(/2.*4/);
    fireEvent.click(within(row).getAllByRole('radio')[1]!);
    fireEvent.click(within(panel).getByRole('button', { name: 'Save these values' }));
    await settleUntil(() => answers === 2);
    expect(screen.queryByRole('alert', { name: 'Two versions' })).toBeNull();
    expect(standing()).toHaveProperty('value', '4');
    expect(calls.filter(({ path }) => path.includes(`${ID}/steps/`)).at(-1)!.body).toMatchObject({
      revision: 2,
    });
  });

  it('a sign-in that expired asks for it on the spot; what waited is saved afterwards', async () => {
    let signedIn = false;
    const calls = serve({
      [SAVE('ask')]: () =>
        signedIn ? accepted() : { status: 401, body: { status: 401, code: 'signed-out', title: 'Sign in.' } },
      'POST /api/auth/sign-in/email': () => {
        signedIn = true;
        return { body: { user: { id: 'me' } } };
      },
    });
    document.documentElement.dataset.person = 'me';
    await show();
    type('3');
    await settleUntilSaid(/Your sign-in has expired/);
    expect(screen.getByText(/Your sign-in has expired/)).toBeTruthy();
    expect(standing()).toHaveProperty('value', '3');
    fireEvent.change(await screen.findByLabelText('E-mail'), { target: { value: 'reader@clinic.example' } });
    fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'right' } });
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    await settleUntilGone(/Your sign-in has expired/);
    await settleUntilSaid('saved');
    expect(calls.filter(({ path }) => path.includes(`${ID}/steps/`)).at(-1)!.body).toMatchObject({
      content: { findings: { body: { hoursStanding: 3 } } },
    });
  });

  it('a colleague who signs in there saves nothing in their own name, and does not see it', async () => {
    const calls = serve({
      [SAVE('ask')]: () => ({ status: 401, body: { status: 401, code: 'signed-out', title: 'Sign in.' } }),
      'POST /api/auth/sign-in/email': () => ({ body: { user: { id: 'colleague' } } }),
    });
    const reload = vi.spyOn(location, 'reload').mockImplementation(() => undefined);
    document.documentElement.dataset.person = 'me';
    await show();
    type('3');
    await settleUntilSaid(/Your sign-in has expired/);
    const before = calls.filter(({ path }) => path.includes(`${ID}/steps/`)).length;
    fireEvent.change(await screen.findByLabelText('E-mail'), { target: { value: 'other@clinic.example' } });
    fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'theirs' } });
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    await settleUntil(() => reload.mock.calls.length > 0);
    expect(reload).toHaveBeenCalledOnce();
    expect(calls.filter(({ path }) => path.includes(`${ID}/steps/`))).toHaveLength(before);
    expect(Object.keys(localStorage).every((key) => key.startsWith('sovet:me:'))).toBe(true);
    reload.mockRestore();
  });

  it('without a connection it is kept in this browser, and comes back after a reload', async () => {
    vi.stubGlobal('fetch', async () => {
      throw new TypeError('no network');
    });
    await show();
    type('5');
    await settleUntilSaid(/No connection/);
    expect(screen.getByText(/No connection. Kept in this browser/)).toBeTruthy();
    cleanup();
    await show();
    expect(standing()).toHaveProperty('value', '5');
    expect(screen.getByText('Restored from this browser: Ask.')).toBeTruthy();
  });

  it('who else is here is told, with the step', async () => {
    serve({
      [`POST /visits/${ID}/presence`]: () => ({
        body: { others: [{ name: 'Mona Other', step: 'feet' }], revisions: {} },
      }),
    });
    await show();
    await settleUntilSaid(/Mona Other/);
    expect(document.body.textContent).toContain('Mona Other is also on this visit (Feet).');
  });
});

describe('the specification beside the work', () => {
  it('says that nothing is asked for yet; a finding brings targets, and one press opens its reasons', async () => {
    serve({});
    await show();
    const panel = screen.getByRole('complementary', { name: 'Specification' });
    expect(panel.textContent).toContain('Nothing found so far calls for a particular shoe');
    fireEvent.click(screen.getByRole('checkbox', { name: 'road running' }));
    await settle();
    const [first] = within(within(panel).getByRole('list', { name: 'Targets' })).getAllByRole('button');
    fireEvent.click(first!);
    await settle();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Reason');
  });
});
