import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { DataTable } from './DataTable';
import { LongTable } from './LongTable';

interface Pair {
  name: string;
  km: number | undefined;
}
const PAIRS: readonly Pair[] = [
  { name: 'Quay', km: 120 },
  { name: 'Reef', km: undefined },
  { name: 'Inlet', km: 640 },
];
const columns = [
  {
    id: 'name',
    head: 'Model',
    namesRow: true,
    sortBy: (pair: Pair) => pair.name,
    cell: (pair: Pair) => pair.name,
  },
  {
    id: 'km',
    head: 'km',
    figure: true,
    sortBy: (pair: Pair) => pair.km,
    cell: (pair: Pair) => pair.km ?? 'unknown',
  },
  {
    id: 'do',
    head: 'Do',
    quiet: true,
    cell: (pair: Pair) => <button type="button">Retire {pair.name}</button>,
  },
];
const names = () => screen.getAllByRole('rowheader').map((cell) => cell.textContent);

afterEach(cleanup);

describe('a plain table', () => {
  it('each row is named by one cell, each column by its heading, also where the heading is only spoken', () => {
    render(<DataTable label="Pairs" rows={PAIRS} keyOf={(pair) => pair.name} columns={columns} />);
    expect(screen.getByRole('table', { name: 'Pairs' })).toBeTruthy();
    expect(screen.getAllByRole('columnheader').map((cell) => cell.textContent)).toEqual([
      'Model',
      'km',
      'Do',
    ]);
    expect(names()).toEqual(['Quay', 'Reef', 'Inlet']);
    expect(screen.getByText('120').className).toContain('figure');
  });

  it('groups stand under their own heading, over the whole width', () => {
    render(
      <DataTable
        groups={[
          { title: 'in use', rows: PAIRS.slice(0, 1) },
          { title: 'retired', rows: PAIRS.slice(1) },
        ]}
        keyOf={(pair) => pair.name}
        columns={columns}
      />,
    );
    const heading = screen.getByText('retired');
    expect(heading.getAttribute('scope')).toBe('rowgroup');
    expect(heading.getAttribute('colspan')).toBe('3');
    const group = heading.closest('tbody')!;
    expect(within(group).getAllByRole('button')).toHaveLength(2);
  });
});

describe('a table that sorts', () => {
  const show = (rows = PAIRS) =>
    render(<LongTable label="Pairs" rows={rows} keyOf={(pair) => pair.name} columns={columns} />);

  it('one press sorts, the next turns the order, the third brings back what was given', () => {
    show();
    const press = () => fireEvent.click(screen.getByRole('button', { name: /^Model/ }));
    const heading = screen.getByRole('columnheader', { name: /^Model/ });
    expect(heading.getAttribute('aria-sort')).toBe('none');
    press();
    expect([names(), heading.getAttribute('aria-sort')]).toEqual([['Inlet', 'Quay', 'Reef'], 'ascending']);
    press();
    expect([names(), heading.getAttribute('aria-sort')]).toEqual([['Reef', 'Quay', 'Inlet'], 'descending']);
    press();
    expect([names(), heading.getAttribute('aria-sort')]).toEqual([['Quay', 'Reef', 'Inlet'], 'none']);
  });

  it('what is not known goes last, whichever way it is sorted', () => {
    show();
    const press = () => fireEvent.click(screen.getByRole('button', { name: /^km/ }));
    press();
    expect(names().at(-1)).toBe('Reef');
    press();
    expect(names().at(-1)).toBe('Reef');
  });

  it('a column of buttons does not sort', () => {
    show();
    expect(within(screen.getByRole('columnheader', { name: 'Do' })).queryByRole('button')).toBeNull();
  });

  it('says how many rows there are, and draws few of many', () => {
    show(Array.from({ length: 5000 }, (_, at) => ({ name: `Shoe ${at}`, km: at })));
    expect(screen.getByRole('table').getAttribute('aria-rowcount')).toBe('5001');
    expect(names().length).toBeLessThan(100);
    expect(
      screen.getByRole('rowheader', { name: 'Shoe 3' }).closest('tr')!.getAttribute('aria-rowindex'),
    ).toBe('5');
  });
});
