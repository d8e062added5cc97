import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { rendersDuring } from '@tests/fixtures/renders';
import { afterEach, expect, it } from 'vitest';
import { KnowledgeScreen } from './KnowledgeScreen';

afterEach(cleanup);

const found = () => Number(/^\d+/.exec(screen.getByRole('status').textContent)?.[0]);

it('a letter typed into the search of rules draws none again of those that stay', async () => {
  render(<KnowledgeScreen versions={[]} use={[]} proposals={[]} mayChange={false} />);
  const all = found();
  const typed = (words: string) =>
    rendersDuring(() =>
      fireEvent.change(screen.getByLabelText('Search rules'), { target: { value: words } }),
    );
  const renders = await typed('Heel');
  expect(found()).toBeGreaterThan(5);
  expect(found()).toBeLessThan(all);
  expect(screen.getByText(new RegExp(`of ${all} rules`))).toBeTruthy();
  expect(renders.KnowledgeList).toBeGreaterThan(0);
  expect(renders.RuleEntry).toBeUndefined();
});
