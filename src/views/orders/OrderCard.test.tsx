import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { press, write } from '@tests/fixtures/acting';
import { testShoe } from '@tests/fixtures/invented-shoe';
import { serve } from '@tests/fixtures/visit-view';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { OrderRecord } from '@/contract/records';
import { OrderCard } from './OrderCard';

const order = (part: Partial<OrderRecord> = {}): OrderRecord => ({
  id: 'f1c0a6a4-6a52-4d58-8f8d-2f7f5d1c9e01',
  patient: { id: '0b9f2a51-1d2e-4c3f-8a4b-5c6d7e8f9a0b', name: 'Ada Example' },
  visitId: '7d0f4b1e-58a4-4d3c-9a63-0c4f3f5a2b11',
  specificationId: '8e1f5c2f-69b5-4e4d-8b74-1d504a6b3c22',
  model: testShoe('4a1d7a52-6a1e-4f0b-9a53-0d5a7b1f2c22', {}, { name: 'Quay', version: '5' }),
  sizeLeft: 'UK 8 D',
  sizeRight: 'UK 8 D',
  modifications: [],
  state: 'arrived',
  cameVersion: null,
  expectedOn: null,
  late: false,
  arrivedOn: '2030-01-01',
  returnBy: '2030-01-31',
  daysToReturn: 27,
  createdAt: '2029-12-20T09:00:00.000Z',
  events: [],
  ...part,
});
const path = `POST /orders/${order().id}/events`;

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const answer = (group: string, word: 'yes' | 'no') => {
  const fieldset = screen.getByRole('group', { name: group });
  fireEvent.click([...fieldset.querySelectorAll('input')].find((input) => input.value === word)!);
};

describe('what came, held against what was ordered', () => {
  it('nothing is signed for before both shoes were looked at', async () => {
    const calls = serve({ [path]: () => ({ body: order({ state: 'checked' }) }) });
    render(<OrderCard order={order()} />);
    expect(screen.getByRole('button', { name: 'Look at both shoes first' })).toHaveProperty('disabled', true);
    answer('A matched pair, no faults', 'yes');
    await press('Right: put by');
    expect(calls[0]!.body).toEqual({
      event: 'check',
      arrival: { version: '5', sizeLeft: 'UK 8 D', sizeRight: 'UK 8 D', sound: true },
    });
    expect(screen.getByRole('button', { name: 'Collected' })).toBeTruthy();
  });

  it('another size, or a fault, goes back; the reason is read before anything is pressed', () => {
    serve({});
    render(<OrderCard order={order()} />);
    write('Right', 'UK 7.5 D');
    answer('A matched pair, no faults', 'no');
    expect(screen.getByText('Right: UK 7.5 D came, UK 8 D was ordered.')).toBeTruthy();
    expect(screen.getByText(/differ from each other or have a fault/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Wrong: to be returned' })).toBeTruthy();
  });

  it('only another version may be put by, to be tried again', () => {
    serve({});
    render(<OrderCard order={order()} />);
    write('Version', '6');
    answer('A matched pair, no faults', 'yes');
    expect(screen.getByRole('button', { name: 'Put by, to try again' })).toBeTruthy();
    write('Left', 'UK 9 D');
    expect(screen.getByRole('button', { name: 'Wrong: to be returned' })).toBeTruthy();
  });

  it('an emptied size is asked for at its field', async () => {
    const calls = serve({});
    render(<OrderCard order={order()} />);
    expect(screen.getByRole('button', { name: 'Look at both shoes first' })).toBeTruthy();
    answer('A matched pair, no faults', 'no');
    write('Left', ' ');
    await press('Wrong: to be returned');
    expect(screen.getByText('The size in the left shoe.')).toBeTruthy();
    expect(calls).toHaveLength(0);
  });
});

describe('collection', () => {
  const checked = (part: Partial<OrderRecord> = {}) => order({ state: 'checked', ...part });

  it('nothing typed: the pair goes as it was tried', async () => {
    const calls = serve({ [path]: () => ({ body: order({ state: 'collected' }) }) });
    render(<OrderCard order={checked()} />);
    await press('Collected');
    expect(calls[0]!.body).toEqual({ event: 'collect' });
    expect(screen.getByText(/Collected and in use/)).toBeTruthy();
  });

  it('a changed pair goes out once each change is made and measures what was ordered', async () => {
    const calls = serve({ [path]: () => ({ body: order({ state: 'collected' }) }) });
    render(
      <OrderCard
        order={checked({
          modifications: [
            { kind: 'heel-lift', side: 'left', amount: 4 },
            { kind: 'insert', side: 'both' },
          ],
        })}
      />,
    );
    const wait = () => screen.getByRole('button', { name: /Check the changes first|Collected/ });
    expect(wait()).toHaveProperty('disabled', true);
    expect(screen.getByRole('link', { name: 'Order for the technician' })).toBeTruthy();
    fireEvent.click(screen.getByLabelText('Made: left: lift inside 4 mm'));
    fireEvent.click(screen.getByLabelText('Made: both: insert put in'));
    expect(screen.getByText('Not measured yet: left: lift inside 4 mm.')).toBeTruthy();
    write('Measured: left: lift inside 4 mm', '6');
    expect(screen.getByText('left: lift inside 4 mm: measured 6 mm, ordered 4 mm.')).toBeTruthy();
    expect(wait()).toHaveProperty('disabled', true);
    write('Measured: left: lift inside 4 mm', '4.5');
    await press('Collected');
    expect(calls[0]!.body).toEqual({
      event: 'collect',
      checks: [{ isMade: true, measured: 4.5 }, { isMade: true }],
    });
  });

  it('room is read in any unit, and what is no number stays at its field', async () => {
    const calls = serve({ [path]: () => ({ body: order({ state: 'collected' }) }) });
    render(<OrderCard order={checked({ cameVersion: '6' })} />);
    expect(screen.getByText('Another version: tried on again')).toBeTruthy();
    write('Room left, mm', 'a thumb');
    write('Room right, mm', '1,2 cm');
    await press('Collected');
    expect(calls).toHaveLength(0);
    expect(screen.getByLabelText('Room left, mm')).toHaveProperty('value', 'a thumb');
    expect(screen.getByLabelText('Room left, mm').getAttribute('aria-invalid')).toBe('true');
    write('Room left, mm', '12');
    write('Comfort, 0–100', '80');
    await press('Collected');
    expect(calls[0]!.body).toEqual({
      event: 'collect',
      tryAgain: { comfort: 80, left: { roomMm: 12 }, right: { roomMm: 12 } },
    });
  });

  it('what the server refuses is said, and the order stays where it was', async () => {
    serve({
      [path]: () => ({
        status: 422,
        body: {
          status: 422,
          code: 'refused',
          title: 'Try the pair on first.',
          errors: [{ path: ['tryAgain'], message: 'Try the pair on first.' }],
        },
      }),
    });
    render(<OrderCard order={checked({ cameVersion: '6' })} />);
    await press('Collected');
    expect(screen.getAllByText('Try the pair on first.').length).toBeGreaterThan(0);
    expect(screen.getByRole('button', { name: 'Collected' })).toBeTruthy();
  });
});

describe('terms of an order', () => {
  it('the last week of the return term is marked, and so is a term that is over', () => {
    serve({});
    const { rerender } = render(<OrderCard order={order({ daysToReturn: 7 })} />);
    expect(screen.getByText(/7 more days, until 31 Jan 2030/).className).toContain('text-faint');
    rerender(<OrderCard key="b" order={order({ daysToReturn: 6 })} />);
    expect(screen.getByText(/6 more days/).className).toContain('text-hold');
    rerender(<OrderCard key="c" order={order({ daysToReturn: -1 })} />);
    expect(screen.getByText(/ended on 31 Jan 2030/)).toBeTruthy();
    rerender(<OrderCard key="d" order={order({ daysToReturn: 3, state: 'collected' })} />);
    expect(screen.queryByText(/more days/)).toBeNull();
  });

  it('a late delivery asks for the supplier; the expected day goes along when it is ordered', async () => {
    const calls = serve({
      [path]: () => ({ body: order({ state: 'ordered', expectedOn: '2030-02-01', late: true }) }),
    });
    render(<OrderCard order={order({ state: 'wanted', daysToReturn: null })} />);
    write('Expected on', '2030-02-01');
    await press('Mark as ordered');
    expect(calls[0]!.body).toEqual({ event: 'place', expectedOn: '2030-02-01' });
    expect(screen.getByText('Was expected on 1 Feb 2030: ask the supplier.')).toBeTruthy();
  });
});
