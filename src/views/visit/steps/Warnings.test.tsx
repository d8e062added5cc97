import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { serve, showInVisit, stubWorkers } from '@tests/fixtures/visit-view';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { WARNING_SIGNS } from '@/core/safety/warning-signs';
import { Warnings } from './Warnings';

beforeEach(() => {
  stubWorkers({});
  serve({});
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
/** The line of one sign. */
const itemOf = (id: string) => {
  const { sign } = WARNING_SIGNS.find((entry) => entry.id === id)!;
  return screen.getAllByRole('listitem').find((item) => item.textContent.includes(sign))!;
};
const verdict = () => screen.getAllByRole('status').at(-1)!.textContent;

describe('warning signs', () => {
  it('every sign of the handbook is listed with what it may mean and how soon', async () => {
    await showInVisit(<Warnings />);
    expect(screen.getAllByRole('listitem').length).toBeGreaterThanOrEqual(WARNING_SIGNS.length);
    for (const { sign, suspect } of WARNING_SIGNS) {
      expect(document.body.textContent).toContain(sign);
      expect(document.body.textContent).toContain(suspect);
    }
  });

  it('a marked sign blocks until it says what was done and has a note; a blank note is none', async () => {
    const { store } = await showInVisit(<Warnings />, { contents: { warnings: { checked: true } } });
    expect(verdict()).toBe('Nothing here blocks the hand-over.');
    const item = itemOf('fracture-rule');
    fireEvent.click(within(item).getAllByRole('checkbox')[0]!);
    expect(verdict()).not.toBe('Nothing here blocks the hand-over.');
    const done = within(item).getByRole('group', { name: 'What was done' });
    fireEvent.click(within(done).getAllByRole('radio')[0]!);
    fireEvent.change(within(item).getByLabelText('Note (needed)'), { target: { value: '   ' } });
    expect(verdict()).not.toBe('Nothing here blocks the hand-over.');
    fireEvent.change(within(item).getByLabelText('Note (needed)'), {
      target: { value: 'seen by A&E today, no fracture' },
    });
    expect(verdict()).toBe('Nothing here blocks the hand-over.');
    expect(store.content('warnings').present).toMatchObject([
      { sign: 'fracture-rule', note: 'seen by A&E today, no fracture' },
    ]);
  });

  it('unmarking takes its answer away; marking it again asks anew', async () => {
    const { store } = await showInVisit(<Warnings />, {
      contents: {
        warnings: { checked: true, present: [{ sign: 'fracture-rule', action: 'referred', note: 'to A&E' }] },
      },
    });
    const box = () => within(itemOf('fracture-rule')).getAllByRole('checkbox')[0]!;
    fireEvent.click(box());
    expect(store.content('warnings').present).toEqual([]);
    fireEvent.click(box());
    expect(store.content('warnings').present).toEqual([{ sign: 'fracture-rule' }]);
  });

  it('an ankle that the rules would X-ray points at the sign, though nobody marked it', async () => {
    await showInVisit(<Warnings />, {
      contents: {
        warnings: { checked: true, ankle: { left: { malleolarPain: 'yes', outerMalleolus: 'yes' } } },
      },
    });
    expect(screen.getByText(/The findings point at this/)).toBeTruthy();
    expect(verdict()).not.toBe('Nothing here blocks the hand-over.');
  });
});
