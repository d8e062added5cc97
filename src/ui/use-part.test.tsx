import { cleanup, render, screen } from '@testing-library/react';
import { settleUntilSaid } from '@tests/fixtures/acting';
import { ErrorBoundary } from 'react-error-boundary';
import { afterEach, expect, it } from 'vitest';
import { usePart } from './use-part';

afterEach(cleanup);

function Holder({ load }: { load: () => Promise<() => string> }) {
  const Part = usePart(load);
  return <p>{Part ? Part() : 'first of all'}</p>;
}
const show = (load: () => Promise<() => string>) =>
  render(
    <ErrorBoundary fallback={<p>could not be fetched</p>}>
      <Holder load={load} />
    </ErrorBoundary>,
  );

it('what stands first gives way to the part once it has come', async () => {
  const load = () => Promise.resolve(() => 'the part');
  show(load);
  expect(screen.getByText('first of all')).toBeTruthy();
  await settleUntilSaid('the part');
  expect(screen.queryByText('first of all')).toBeNull();
});

it('a part that cannot be fetched is told to whoever stands around it', async () => {
  const load = () => Promise.reject(new Error('no network'));
  show(load);
  await settleUntilSaid('could not be fetched');
  expect(screen.queryByText('first of all')).toBeNull();
});
