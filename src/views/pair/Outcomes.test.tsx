import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { serve } from '@tests/fixtures/visit-view';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { OutcomeRecord } from '@/contract/answers/outcomes';
import { Outcomes } from './Outcomes';

const PATH = 'POST /pairs/p/outcomes';
const record = (...taken: OutcomeRecord['taken']): OutcomeRecord => ({ dueOn: '2030-01-15', taken });
const show = (given: OutcomeRecord) =>
  render(<Outcomes pairId="p" given={given} log={[]} today="2030-01-20" readOnly={false} />);
const press = async () =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Keep the measures' }));
    await new Promise((resolve) => setTimeout(resolve, 20));
  });
const write = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('outcomes of a pair', () => {
  it('are held against the first, in words and with what comes next; a bare difference is not called better', () => {
    show(
      record(
        { on: '2030-01-01', by: 'Ada', comfort: 60, pain: 2 },
        { on: '2030-01-15', by: 'Ada', comfort: 66, pain: 6 },
      ),
    );
    expect(screen.getByRole('img', { name: 'Comfort: 60 then, 66 now, no real change' })).toBeTruthy();
    expect(screen.getByRole('img', { name: 'Pain: 2 then, 6 now, worse' })).toBeTruthy();
    const next = within(screen.getByRole('region', { name: 'What comes next' }));
    expect(next.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      'Refit the pair',
      'Refer',
      'Loosen a rule, with a reason',
      'Try another school of prescribing',
    ]);
    expect(screen.getByText(/Due since/)).toBeTruthy();
  });

  it('are written in whatever way people type; what is left empty is not sent, and what is no number stays at its field', async () => {
    const calls = serve({
      [PATH]: () => ({ status: 201, body: record({ on: '2030-01-20', by: 'Me', comfort: 80 }) }),
    });
    show(record({ on: '2030-01-01', by: 'Ada', comfort: 60, activities: [{ name: 'stairs', score: 3 }] }));
    expect(screen.getByLabelText('Activity 1')).toHaveProperty('value', 'stairs');
    write('Pain at its site, 0–10', 'some');
    await press();
    expect(calls).toHaveLength(0);
    expect(screen.getByText('Pain is a number from 0 to 10.')).toBeTruthy();
    write('Pain at its site, 0–10', '3,5');
    write('Comfort, 0–100', '80');
    write('Activity 1, 0–10', '7');
    fireEvent.click(screen.getByRole('button', { name: 'left: ball' }));
    await press();
    expect(calls[0]!.body).toEqual({
      on: '2030-01-20',
      comfort: 80,
      pain: 3.5,
      activities: [{ name: 'stairs', score: 7 }],
      skinAt: [{ side: 'left', place: 'ball', sign: 'redness' }],
    });
  });

  it('what the server refuses appears at its field, with all that was typed still there', async () => {
    serve({
      [PATH]: () => ({
        status: 422,
        body: {
          title: 'Some values cannot be accepted.',
          status: 422,
          code: 'invalid',
          errors: [{ path: ['comfort'], message: 'Comfort was asked already.' }],
        },
      }),
    });
    show(record());
    expect(screen.getByText(/first measures are the baseline/)).toBeTruthy();
    write('Comfort, 0–100', '100');
    await press();
    expect(screen.getByText('Comfort was asked already.')).toBeTruthy();
    expect(screen.getByLabelText('Comfort, 0–100')).toHaveProperty('value', '100');
  });

  it('open skin says at once what to do', () => {
    show(record({ on: '2030-01-01', by: 'Ada' }, { on: '2030-01-15', by: 'Ada', skin: ['ulcer'] }));
    expect(screen.getByRole('alert').textContent).toContain('stop wearing it');
  });
});
