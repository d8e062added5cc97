import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { saidAt, write } from '@tests/fixtures/acting';
import { serve, showInVisit, stubWorkers } from '@tests/fixtures/visit-view';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { definitionOf } from '@/core/findings/findings';
import { Uses } from './ask/Uses';
import { LegVolume } from './feet/LegVolume';
import { Swelling } from './feet/Swelling';
import { Prosthesis } from './Prosthesis';

beforeEach(() => {
  stubWorkers({});
  serve({});
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('what the shoes are for, by the week', () => {
  const runner = { ask: { findings: { body: { activities: ['road-running' as const] } } } };

  it('minutes and distance are kept by activity; miles become kilometres', async () => {
    const { store } = await showInVisit(<Uses />, { contents: runner });
    write('road running, minutes a week', '150');
    write('road running, kilometres a week', '10 mi');
    expect(store.content('ask').uses).toEqual([{ activity: 'road-running', minutes: 150, km: 16.1 }]);
    expect(screen.getByText('16.1 km a week together.')).toBeTruthy();
    expect(store.content('ask').findings.body?.activities).toEqual(['road-running']);
  });

  it.each([
    ['road running, minutes a week', '10081', /Up to 10080 min/],
    ['road running, minutes a week', '-5', /Up to 10080 min/],
    ['road running, minutes a week', 'daily', /Minutes are a number/],
    ['road running, kilometres a week', '401', /Up to 400 km/],
    ['road running, kilometres a week', '3 furlongs', /./],
  ])('%s: %s stays typed, says why, and is not kept', async (label, typed, why) => {
    const { store } = await showInVisit(<Uses />, { contents: runner });
    const field = write(label, typed);
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(saidAt(field)).toMatch(why);
    expect(field).toHaveProperty('value', typed);
    expect(store.content('ask').uses ?? []).toEqual([]);
    fireEvent.change(field, { target: { value: '20' } });
    expect(field.getAttribute('aria-invalid')).toBeNull();
    expect(store.content('ask').uses).toHaveLength(1);
  });

  it('events are named and dated, at most twelve, and removed one by one', async () => {
    const { store } = await showInVisit(<Uses />, { contents: runner });
    fireEvent.click(screen.getByRole('button', { name: 'Add an event' }));
    write('Event 1', 'island crossing');
    write('Day of event 1', '2030-05-01');
    fireEvent.click(screen.getByRole('button', { name: 'Add an event' }));
    expect(store.content('ask').events).toEqual([
      { name: 'island crossing', on: '2030-05-01' },
      { name: '' },
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'Remove event 1' }));
    expect(store.content('ask').events).toEqual([{ name: '' }]);
    cleanup();
    const events = Array.from({ length: 12 }, () => ({ name: 'race' }));
    await showInVisit(<Uses />, { contents: { ask: { ...runner.ask, events } } });
    expect(screen.getByRole('button', { name: 'Add an event' })).toHaveProperty('disabled', true);
  });

  it('without an activity it says where to choose one', async () => {
    await showInVisit(<Uses />);
    expect(screen.getByText(/Choose activities/)).toBeTruthy();
  });
});

describe('girths over a day', () => {
  const girth = (side: 'left' | 'right', reading: number) =>
    screen.getByLabelText(new RegExp(`figure.of.eight.*${side}, reading ${reading}`, 'i'));

  it('readings are added, filled in and removed; a side that swells through the day is offered as a finding', async () => {
    const { store } = await showInVisit(<Swelling />);
    for (const [at, mm] of [
      ['2030-01-01T08:00', '510'],
      ['2030-01-01T18:00', '535'],
    ] as const) {
      fireEvent.click(screen.getByRole('button', { name: 'Add a reading' }));
      const count = store.content('feet').swelling!.length;
      const [day = '', time = ''] = at.split('T');
      write(`Reading ${count}: day`, day);
      write(`Reading ${count}: time`, time);
      fireEvent.change(girth('left', count), { target: { value: mm } });
      fireEvent.blur(girth('left', count));
    }
    expect(store.content('feet').swelling).toMatchObject([
      { at: '2030-01-01T08:00', left: { figureOfEight: 510 } },
      { at: '2030-01-01T18:00', left: { figureOfEight: 535 } },
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'Note it as swelling that comes and goes, left' }));
    expect(store.content('ask').findings.left?.swelling).toBe('changes');
    expect(screen.queryByRole('button', { name: /Note it as swelling/ })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Remove reading 1' }));
    expect(store.content('feet').swelling).toHaveLength(1);
  });

  it('a leg’s volume follows from girths at one spacing; a girth too few says so', async () => {
    const { store } = await showInVisit(<LegVolume />);
    const field = write('Girths from the ankle up, left, mm', '200');
    expect(store.content('feet').findings.left?.legVolume).toBeUndefined();
    fireEvent.change(field, { target: { value: '200 200' } });
    // A cylinder by arithmetic: girth² × height ÷ 4π, 200 mm around and 40 mm high, is 127.3 ml.
    expect(store.content('feet').findings.left?.legVolume).toBe(127);
    fireEvent.change(field, { target: { value: '200 wide' } });
    expect(field).toHaveProperty('value', '200 wide');
    expect(store.content('feet').findings.left?.legVolume).toBe(127);
  });
});

describe('prosthesis', () => {
  it('the shank is drawn once its three heights are known', async () => {
    await showInVisit(<Prosthesis />, {
      contents: { ask: { findings: { body: { prosthesisSide: 'left' } } } },
    });
    const shank = screen.getByRole('region', { name: 'Another shoe' });
    expect(shank.textContent).toContain('needs set rise and heel–ball length');
    expect(within(shank).queryByRole('img')).toBeNull();
    await act(async () => {
      write(definitionOf('prosthesisSetRise').label, '10');
      write(definitionOf('prosthesisLever').label, '150');
      write('Shoe’s heel rise', '20');
    });
    expect(within(shank).getByRole('img').getAttribute('aria-label')).toMatch(/degrees forward/);
  });
});
