import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { visitRecord } from '@tests/fixtures/visit-record';
import { serve, showInVisit, stubWorkers } from '@tests/fixtures/visit-view';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { HOUSE_TOPIC, type HouseChange, type HouseRules } from '@/core/knowledge/house-rules';
import type { VisitContents } from '@/core/visit/contents';
import { NoneWithin } from '../candidates/NoneWithin';
import { Board } from './Board';
import { Deadlocks } from './Deadlocks';
import { Schools } from './Schools';

beforeEach(() => {
  stubWorkers({});
  serve({});
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** A stiff big toe on the left, a runner: enough to fill the board. */
const contents: VisitContents = {
  ask: { findings: { body: { activities: ['road-running'] } } },
  feet: { findings: { left: { arch: 'high' }, right: { arch: 'high' } } },
};
const focused = () => document.activeElement?.getAttribute('aria-label') ?? '';
const arrow = (key: string) => fireEvent.keyDown(document.activeElement!, { key });
const write = (field: HTMLElement, value: string) => fireEvent.change(field, { target: { value } });

describe('the board', () => {
  it('is one stop for the keyboard: one mark takes Tab, arrows go from mark to mark', async () => {
    await showInVisit(<Board />, { contents });
    const board = screen.getByRole('table', { name: 'Findings against features' });
    const stops = within(board)
      .getAllByRole('button')
      .filter((button) => button.tabIndex === 0);
    expect(stops).toHaveLength(1);
    act(() => stops[0]!.focus());
    const head = focused();
    arrow('ArrowDown');
    expect(focused()).toMatch(/ on .*: (limit|strong|moderate|slight), .*evidence [ABC]/);
    arrow('ArrowUp');
    expect(focused()).toBe(head);
  });

  it('an arrow past the edge stays where it is', async () => {
    await showInVisit(<Board />, { contents });
    const board = screen.getByRole('table', { name: 'Findings against features' });
    act(() => within(board).getAllByRole('button')[0]!.focus());
    const first = focused();
    arrow('ArrowLeft');
    arrow('ArrowUp');
    expect(focused()).toBe(first);
  });

  it('says so when nothing was examined yet', async () => {
    await showInVisit(<Board />);
    expect(screen.queryByRole('table')).toBeNull();
    expect(screen.getByText(/go back and examine/)).toBeTruthy();
  });
});

describe('the clinician’s word on a target', () => {
  /** The pane of the column that the board opens on. */
  async function open(kind: 'Pin' | 'Loosen' | 'Overrule') {
    const shown = await showInVisit(<Board />, { contents });
    const board = screen.getByRole('table', { name: 'Findings against features' });
    act(() =>
      within(board)
        .getByRole('button', { name: /^Heel cushioning:/ })
        .focus(),
    );
    fireEvent.click(screen.getByRole('button', { name: `${kind} …` }));
    return { ...shown, form: screen.getByRole('form', { name: `${kind} heel cushioning` }) };
  }

  it('is not an assistant’s: they read why, and are offered nothing that would be refused', async () => {
    await showInVisit(<Board />, { contents, visit: { readerRole: 'assistant' } });
    act(() =>
      within(screen.getByRole('table', { name: 'Findings against features' }))
        .getByRole('button', { name: /^Heel cushioning:/ })
        .focus(),
    );
    expect(screen.queryByRole('button', { name: /^(Pin|Loosen|Overrule|Set aside)/ })).toBeNull();
  });

  it('without a reason nothing is decided, and the reason’s own field says so', async () => {
    const { store, form } = await open('Overrule');
    fireEvent.submit(form);
    const reason = within(form).getByLabelText(/Reason/);
    expect(reason.getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(reason.getAttribute('aria-describedby')!)!.textContent).not.toBe('');
    expect(store.content('reason').decisions ?? []).toEqual([]);
  });

  it('a band that is upside down is refused, and what was typed stays', async () => {
    const { store, form } = await open('Loosen');
    write(within(form).getByLabelText('From'), '5');
    write(within(form).getByLabelText('To'), '2');
    write(within(form).getByLabelText(/Reason/), 'tried both on the treadmill');
    fireEvent.submit(form);
    expect(within(form).getByRole('alert').textContent).not.toBe('');
    expect(within(form).getByLabelText(/Reason/)).toHaveProperty('value', 'tried both on the treadmill');
    expect(store.content('reason').decisions ?? []).toEqual([]);
  });

  it('a pin is one value with its reason, shows what the rules say, and can be taken back', async () => {
    const { store, form } = await open('Pin');
    expect(within(form).queryByLabelText('To')).toBeNull();
    write(within(form).getByLabelText('At'), '2');
    write(within(form).getByLabelText(/Reason/), '  used to firm heels  ');
    fireEvent.submit(form);
    expect(store.content('reason').decisions).toEqual([
      { feature: 'heelCushioning', kind: 'pin', band: { from: 2, to: 2 }, reason: 'used to firm heels' },
    ]);
    expect(screen.getByText(/The rules say/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Back to the rules' }));
    expect(store.content('reason').decisions).toEqual([]);
  });

  it('leaving it changes nothing', async () => {
    const { store, form } = await open('Pin');
    fireEvent.click(within(form).getByRole('button', { name: 'Leave it' }));
    expect(screen.queryByRole('form')).toBeNull();
    expect(store.content('reason').decisions ?? []).toEqual([]);
  });
});

describe('setting a push aside', () => {
  it('needs more than a stroke of the space bar; then it stands with its reason and comes back on request', async () => {
    const { store } = await showInVisit(<Board />, { contents });
    fireEvent.click(screen.getAllByRole('button', { name: 'Set aside with a reason' })[0]!);
    const reason = screen.getByLabelText(/Reason/);
    write(reason, '   ');
    fireEvent.submit(reason.closest('form')!);
    expect(screen.getByText('Say why, in a few words.')).toBeTruthy();
    expect(store.content('reason').setAside ?? []).toEqual([]);
    write(reason, 'wears an insert of her own');
    fireEvent.submit(reason.closest('form')!);
    expect(store.content('reason').setAside).toMatchObject([{ reason: 'wears an insert of her own' }]);
    expect(screen.getByText(/Set aside: wears an insert of her own/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Take back' }));
    expect(store.content('reason').setAside).toEqual([]);
  });
});

describe('deadlocks', () => {
  const wants = (id: string, closure: string): HouseChange => ({
    kind: 'own',
    reason: 'a test',
    rule: {
      id,
      topic: HOUSE_TOPIC,
      finding: `${closure} are issued here`,
      when: { all: [{ finding: 'ageYears', atLeast: 18 }] },
      wishes: [{ feature: 'closure', prefer: [closure] }],
      strength: 'limit',
      schools: [],
      evidence: 'C',
      sources: ['house'],
      because: `The company issues nothing but ${closure}.`,
    },
  });
  const house: HouseRules = {
    version: 1,
    changes: [wants('house-laces', 'laces'), wants('house-zip', 'zip')],
    settings: {},
  };

  it('nothing is shown where all limits hold together', async () => {
    const { container } = await showInVisit(<Deadlocks />, { contents });
    expect(container.textContent).toBe('');
  });

  it('the candidates send to them; where limits hold together they say which way none is left', async () => {
    await showInVisit(<NoneWithin noSize={0} />, { visit: { house } });
    expect(screen.getByRole('alert').textContent).toContain('Limits contradict each other');
    expect(screen.getByRole('link').getAttribute('href')).toBe('#reason');
    cleanup();
    const { container } = await showInVisit(<NoneWithin noSize={0} />, { contents });
    expect(container.textContent).toContain('“Left out” says which limit');
    cleanup();
    expect((await showInVisit(<NoneWithin noSize={3} />, { contents })).container.textContent).toContain(
      'can be had in this size',
    );
  });

  it('both limits are named; one set aside with a reason frees the shoe', async () => {
    const { store } = await showInVisit(<Deadlocks />, { visit: { house } });
    const alert = screen.getByRole('alert');
    expect(alert.textContent).toContain('laces are issued here');
    expect(alert.textContent).toContain('zip are issued here');
    const [laces] = within(alert).getAllByRole('button', { name: 'Set this one aside' });
    fireEvent.click(laces!);
    const reason = within(alert).getByLabelText(/Reason/);
    fireEvent.submit(reason.closest('form')!);
    expect(store.content('reason').setAside ?? []).toEqual([]);
    write(reason, 'the company agreed to zips');
    fireEvent.submit(reason.closest('form')!);
    expect(store.content('reason').setAside).toMatchObject([
      { feature: 'closure', reason: 'the company agreed to zips' },
    ]);
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('schools beside each other', () => {
  it('only what differs, until all is asked for; another school is taken for this visit', async () => {
    const { store } = await showInVisit(<Schools />, { contents });
    const rows = () => screen.getAllByRole('row').length;
    const few = rows();
    fireEvent.click(screen.getByRole('button', { name: 'Show all' }));
    expect(rows()).toBeGreaterThan(few);
    fireEvent.click(screen.getByRole('button', { name: 'Only these' }));
    expect(rows()).toBe(few);
    fireEvent.click(screen.getAllByRole('button', { name: 'Use' })[0]!);
    expect(store.content('reason').school).toBe('comfort');
  });

  it('a school kept with the patient that the server refuses is said, and not shown as kept', async () => {
    serve({
      [`PATCH /patients/${visitRecord().patient.id}`]: () => ({
        status: 403,
        body: { status: 403, code: 'forbidden', title: 'Only practitioners change this.' },
      }),
    });
    await showInVisit(<Schools />, { contents: { ...contents, reason: { school: 'load' } } });
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: /as this patient’s own/ }));
      await new Promise((resolve) => setTimeout(resolve, 10));
    });
    expect(screen.getByRole('status').textContent).not.toBe('Kept with the patient.');
    expect(screen.getByRole('status').textContent).not.toBe('');
    expect(screen.getByText('none')).toBeTruthy();
  });

  it('an issued visit only shows them', async () => {
    await showInVisit(<Schools />, { visit: { closedAt: '2030-01-02T09:00:00.000Z' }, contents });
    expect(screen.queryByRole('button', { name: 'Use' })).toBeNull();
  });
});
