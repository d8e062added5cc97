import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { SignInForm } from './SignInForm';

const gone: string[] = [];
beforeEach(() => {
  gone.length = 0;
  vi.spyOn(location, 'assign').mockImplementation((to) => {
    gone.push(String(to));
  });
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});
const answers = (status: number) => {
  const sent: unknown[] = [];
  vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
    sent.push(JSON.parse(body));
    if (status === 0) throw new TypeError('no network');
    return new Response(JSON.stringify({ user: { id: 'me' } }), { status });
  });
  return sent;
};
async function signIn(email: string, password: string) {
  render(<SignInForm to="/today" />);
  fireEvent.change(screen.getByLabelText('E-mail'), { target: { value: email } });
  fireEvent.change(screen.getByLabelText('Password'), { target: { value: password } });
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    await new Promise((resolve) => setTimeout(resolve, 10));
  });
}

describe('signing in', () => {
  it('leads to where one wanted to go', async () => {
    const sent = answers(200);
    await signIn('lead@clinic.example', 'right');
    expect(sent).toEqual([{ email: 'lead@clinic.example', password: 'right' }]);
    expect(gone).toEqual(['/today']);
  });

  it.each([
    [401, /is not right/],
    [429, /Too many tries. Wait a moment/],
    [503, /cannot be reached/],
    [0, /cannot be reached/],
  ])('an answer of %d is one sentence, and what was typed stays', async (status, why) => {
    answers(status);
    await signIn('lead@clinic.example', 'wrong');
    expect(screen.getByRole('alert').textContent).toMatch(why);
    expect(screen.getByLabelText('E-mail')).toHaveProperty('value', 'lead@clinic.example');
    expect(gone).toEqual([]);
  });

  it('what is no address, or no password, is said at its field and not sent', async () => {
    const sent = answers(200);
    await signIn('lead', '');
    expect(screen.getByLabelText('E-mail').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByLabelText('Password').getAttribute('aria-invalid')).toBe('true');
    expect(sent).toEqual([]);
  });
});
