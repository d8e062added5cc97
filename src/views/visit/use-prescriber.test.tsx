import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { settle, settleUntil, settleUntilSaid } from '@tests/fixtures/acting';
import { visitRecord } from '@tests/fixtures/visit-record';
import { serve, stubWorkers } from '@tests/fixtures/visit-view';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { definitionOf } from '@/core/findings/findings';
import { VisitTable } from './VisitTable';

/** How the rules come: not at all, or when the test says so. */
const rules = vi.hoisted(() => {
  let arrive = () => {};
  const arrived = new Promise<void>((resolve) => {
    arrive = resolve;
  });
  return { isCutOff: true, arrived, arrive: () => arrive() };
});
vi.mock('./prescriber', async (original) => {
  if (rules.isCutOff) throw new Error('no network');
  await rules.arrived;
  return original();
});

beforeEach(() => {
  localStorage.clear();
  location.hash = '';
  stubWorkers({});
  serve({});
  render(<VisitTable visit={visitRecord({ id: crypto.randomUUID() })} />);
});
afterEach(cleanup);

const panel = () => within(screen.getByRole('complementary', { name: 'Specification' }));
const standing = () => screen.getByLabelText<HTMLInputElement>(definitionOf('hoursStanding').label);
const typed = async () => {
  await settleUntil(() => screen.queryByLabelText(definitionOf('hoursStanding').label) !== null);
  fireEvent.change(standing(), { target: { value: '9' } });
  await settle();
};

it('rules that cannot be fetched are said where the shoe would stand; the step goes on', async () => {
  await settleUntilSaid(/could not be opened/);
  expect(panel().getByRole('alert').textContent).toContain('The specification could not be opened');
  await typed();
  expect(standing().value).toBe('9');
});

it('what is entered before the rules have come counts once they are there', async () => {
  rules.isCutOff = false;
  await typed();
  expect(standing().value).toBe('9');
  expect(panel().getByText('Opening …')).toBeTruthy();
  rules.arrive();
  await settleUntilSaid(/targets; everything else/);
  expect(panel().getAllByRole('listitem').length).toBeGreaterThan(1);
  expect(standing().value).toBe('9');
});
