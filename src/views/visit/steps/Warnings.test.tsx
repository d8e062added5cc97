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
const FREE = 'Nothing here blocks the hand-over.';
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

  it('an assistant reads them and is told whom to tell, and answers none', async () => {
    const { store } = await showInVisit(<Warnings />, { visit: { readerRole: 'assistant' } });
    expect(screen.getByText(/A practitioner or the lead answers these/)).toBeTruthy();
    expect(screen.getAllByRole('group')[0]).toHaveProperty('disabled', true);
    expect(store.snapshot().steps.warnings.content).toEqual({});
  });

  it('a marked sign blocks until its answer says all it must; a same-day one until it was cleared', async () => {
    const { store } = await showInVisit(<Warnings />, { contents: { warnings: { checked: true } } });
    expect(verdict()).toBe(FREE);
    const item = itemOf('fracture-rule');
    fireEvent.click(within(item).getAllByRole('checkbox')[0]!);
    expect(verdict()).toMatch(/record what was done/);
    fireEvent.click(
      within(within(item).getByRole('group', { name: 'What was done' })).getByRole('radio', {
        name: 'Referred',
      }),
    );
    const fill = (label: string, value: string) =>
      fireEvent.change(within(item).getByLabelText(label), { target: { value } });
    fill('To whom', '   ');
    fill('On which day', '2030-01-01');
    fill('How (letter, telephone, went along)', 'went along');
    expect(verdict()).toMatch(/write down to whom/);
    fill('To whom', 'emergency department');
    expect(verdict()).toMatch(/No pair goes out until somebody records who cleared it/);
    fill('Cleared by', 'Dr Example');
    fill('Cleared on', '2030-01-02');
    expect(verdict()).toBe(FREE);
    expect(store.content('warnings').present).toMatchObject([
      { sign: 'fracture-rule', action: 'referred', to: 'emergency department', clearedBy: 'Dr Example' },
    ]);
  });

  it('a sign that is excluded asks by what, and for nobody to clear it', async () => {
    await showInVisit(<Warnings />, {
      contents: { warnings: { checked: true, present: [{ sign: 'ischaemia', action: 'excluded' }] } },
    });
    const item = itemOf('ischaemia');
    expect(within(item).queryByLabelText('Cleared by')).toBeNull();
    fireEvent.change(within(item).getByLabelText('Excluded by what'), { target: { value: 'pulses felt' } });
    expect(verdict()).toBe(FREE);
  });

  it('a wound of an at-risk foot is a matter of the same day', async () => {
    const present = [{ sign: 'open-wound' as const, action: 'referred' as const }];
    await showInVisit(<Warnings />, {
      contents: { warnings: { checked: true, present }, feet: { findings: { left: { sensation: 'lost' } } } },
    });
    const item = itemOf('open-wound');
    expect(item.textContent).toContain('same day');
    expect(within(item).getByLabelText('Cleared by')).toBeTruthy();
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
    expect(screen.getByText('Left: the ankle-injury rules ask for an X-ray.')).toBeTruthy();
    expect(screen.getByText('Mark it, then refer or exclude it.')).toBeTruthy();
    expect(verdict()).not.toBe(FREE);
  });
});
