/** @jsxImportSource preact */
import { fireEvent, screen } from '@testing-library/dom';
import { serve } from '@tests/fixtures/visit-view';
import { render } from 'preact';
import { act } from 'preact/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RecallItem } from '@/contract/records';
import { FIRST_OF_A_KIND, MOST_LETTERS, SHOWN_OF_A_KIND } from '@/core/recall/kinds';
import { RecallList } from './RecallList';

const site = '5d0f4b1e-58a4-4d3c-9a63-0c4f3f5a2b11';
const due = (many: number, part: Partial<RecallItem> = {}): RecallItem[] =>
  Array.from({ length: many }, (_, at) => ({
    kind: 'review-due',
    patient: { id: `0b9f2a51-1d2e-4c3f-8a4b-${String(at).padStart(12, '0')}`, name: `Ada ${at}`, age: 40 },
    reach: 'Call 020 55',
    what: 'Quay 5',
    on: '2031-05-04',
    aboutId: '7a1f4b1e-58a4-4d3c-9a63-0c4f3f5a2b11',
    steps: null,
    tried: null,
    ...part,
  }));

let root: HTMLElement;
beforeEach(() => {
  root = document.body.appendChild(document.createElement('div'));
});
afterEach(() => {
  render(null, root);
  root.remove();
  vi.unstubAllGlobals();
});
const show = (items: readonly RecallItem[]) =>
  act(() => render(<RecallList items={items} site={site} today="2031-05-10" />, root));
const press = (name: string) =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
    await new Promise((resolve) => setTimeout(resolve, 20));
  });
const rows = () => screen.queryAllByRole('listitem').length;

describe('a kind with more rows than the list begins with', () => {
  it('says so, and brings the others of that site when they are asked for', async () => {
    const calls = serve({
      [`GET /today?kind=review-due&site=${site}`]: () => ({ body: due(70) }),
    });
    await show(due(FIRST_OF_A_KIND));
    expect(rows()).toBe(SHOWN_OF_A_KIND);
    expect(screen.getByRole('heading').textContent).toContain(`${FIRST_OF_A_KIND} or more`);
    await press('Show more: Review due');
    expect(calls).toHaveLength(1);
    expect(rows()).toBe(70);
    expect(screen.getByRole('heading').textContent).toMatch(/ 70$/);
    expect(screen.queryByRole('button', { name: 'Show more: Review due' })).toBeNull();
  });

  it('keeps what is shown where the others do not come, and says why', async () => {
    serve({});
    await show(due(FIRST_OF_A_KIND));
    await press('Show more: Review due');
    expect(rows()).toBe(SHOWN_OF_A_KIND);
    expect(screen.getByRole('alert').textContent).toBe('Not found.');
  });

  it('no more are chosen at once than go out in one go', async () => {
    serve({ [`GET /today?kind=review-due&site=${site}`]: () => ({ body: due(70) }) });
    await show(due(FIRST_OF_A_KIND));
    await press('Show more: Review due');
    await press(`Choose the first ${MOST_LETTERS}: Review due`);
    expect(screen.getByText(`${MOST_LETTERS} chosen`)).toBeTruthy();
  });
});

it('warnings are shown whole without being asked for: none stands behind a button', async () => {
  const warnings = (many: number) => due(many, { kind: 'stop-wearing', reach: null });
  const calls = serve({ [`GET /today?kind=stop-wearing&site=${site}`]: () => ({ body: warnings(30) }) });
  await show(warnings(FIRST_OF_A_KIND));
  await vi.waitFor(() => expect(rows()).toBe(30));
  expect(calls).toHaveLength(1);
});

it('a kind whose every row is there has nothing more to show', async () => {
  await show(due(SHOWN_OF_A_KIND));
  expect(rows()).toBe(SHOWN_OF_A_KIND);
  expect(screen.queryByRole('button', { name: /Show more/ })).toBeNull();
});

describe('the day', () => {
  const late = due(2, { on: '2031-05-04' });
  const coming = due(1, { kind: 'outcomes-due', on: '2031-05-10' });
  const visit = due(1, { kind: 'visit-open', reach: null, steps: { ask: 'done', feet: 'in-progress' } });
  const sore = due(1, { kind: 'stop-wearing', on: '2031-05-01' });

  it('says how much of each part there is, and shows one part alone', async () => {
    await show([...sore, ...visit, ...late, ...coming]);
    const strip = screen.getByRole('group', { name: 'The day' });
    expect([...strip.querySelectorAll('button')].map(({ textContent }) => textContent)).toEqual([
      '1 see to first',
      '1 open visits',
      '2 late',
      '1 due',
      '0 at the counter',
    ]);
    await press('2 late');
    expect(rows()).toBe(2);
    expect(screen.getAllByRole('heading').map(({ textContent }) => textContent)).toEqual(['Review due 2']);
    await press('2 late');
    expect(rows()).toBe(5);
  });

  it('says that there are more late ones than were read', async () => {
    await show(due(FIRST_OF_A_KIND));
    expect(screen.getByRole('button', { name: `${FIRST_OF_A_KIND}+ late` })).toBeTruthy();
  });

  it('leads from each row to where it is dealt with', async () => {
    await show([...sore, ...visit, ...late.slice(0, 1)]);
    const leads = (name: string) => screen.getByRole('link', { name }).getAttribute('href');
    expect(leads('See the pair: Ada 0')).toBe(`/pairs/${sore[0]?.aboutId}#break-in`);
    expect(leads('Go on: Feet: Ada 0')).toBe(`/visits/${visit[0]?.aboutId}#feet`);
    expect(leads('Begin the review: Ada 0')).toBe(`/pairs/${late[0]?.aboutId}/review`);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain(
      'Ask done, Old pair untouched, Feet in progress',
    );
    expect(screen.getByText('6 days late')).toBeTruthy();
  });
});
