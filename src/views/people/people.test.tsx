import { cleanup, render, screen, within } from '@testing-library/react';
import { press, write } from '@tests/fixtures/acting';
import { serve } from '@tests/fixtures/visit-view';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { PersonRecord } from '@/contract/people-schema';
import { SecondFactor } from '../settings/SecondFactor';
import { JoinForm } from '../sign-in/JoinForm';
import { People } from './People';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

const person = (part: Partial<PersonRecord> = {}): PersonRecord => ({
  id: 'a',
  name: 'Asta Merle',
  email: 'asta@clinic.example',
  role: 'lead',
  state: 'active',
  lastSignInAt: '2030-01-02T08:00:00.000Z',
  secondFactor: true,
  sessions: 2,
  elsewhere: false,
  ...part,
});
const jorun = person({
  id: 'j',
  name: 'Jorun Vale',
  role: 'practitioner',
  state: 'invited',
  lastSignInAt: null,
  sessions: 0,
  elsewhere: false,
  secondFactor: false,
});
const rowOf = (name: string) => screen.getByText(name).closest('li')!;

describe('people of the clinic', () => {
  it('tells who is let in, when they were here and whether a password is all there is', () => {
    render(<People people={[person(), jorun]} me="a" />);
    expect(rowOf('Asta Merle').textContent).toMatch(
      /\(you\).*last here 2 Jan 2030, with a second factor, open in 2 browsers/,
    );
    expect(rowOf('Jorun Vale').textContent).toMatch(/invited, not here yet, password only/);
  });

  it('offers to suspend others and never oneself; an invited one gets the letter again', () => {
    render(
      <People people={[person(), jorun, person({ id: 't', name: 'Tove Rask', state: 'left' })]} me="a" />,
    );
    const labels = (name: string) =>
      within(rowOf(name))
        .getAllByRole('button', { hidden: true })
        .map((button) => button.textContent);
    expect(labels('Asta Merle')).not.toContain('Suspend');
    expect(labels('Jorun Vale')).toContain('Send the invitation again');
    expect(labels('Tove Rask')).toEqual(['Sign out everywhere', 'Remove the second factor', 'Take back']);
  });

  it('a change that the server refuses is said, and the row stays as it was', async () => {
    serve({
      'PATCH /people/a': () => ({
        status: 409,
        body: {
          status: 409,
          code: 'conflict',
          title: 'A clinic needs a lead. Make somebody else a lead first.',
        },
      }),
    });
    render(<People people={[person()]} me="a" />);
    write('Role of Asta Merle', 'assistant');
    expect(await screen.findByText(/A clinic needs a lead/)).toBeTruthy();
    expect(screen.getByLabelText('Role of Asta Merle')).toHaveProperty('value', 'lead');
  });

  it('an invitation without an address is not sent; a good one is, and the list is read again', async () => {
    const calls = serve({
      'POST /people': () => ({ body: jorun }),
      'GET /people': () => ({ body: [person(), jorun] }),
    });
    render(<People people={[person()]} me="a" />);
    write('Name', 'Jorun Vale');
    write('E-mail', 'jorun');
    await press('Send the invitation');
    expect(screen.getByText(/such as name@clinic.example/)).toBeTruthy();
    expect(calls).toEqual([]);
    write('E-mail', 'jorun@clinic.example');
    await press('Send the invitation');
    expect(await screen.findByText('Jorun Vale gets a letter at jorun@clinic.example.')).toBeTruthy();
    expect(rowOf('Jorun Vale')).toBeTruthy();
  });
});

describe('a second factor', () => {
  it('is on only after a code was right; the recovery codes are shown before', async () => {
    let right = false;
    serve({
      'POST /api/auth/two-factor/enable': () => ({
        body: {
          totpURI: 'otpauth://totp/Sovet:a?secret=GEZDGNBV&issuer=Sovet',
          backupCodes: ['aaaaa-bbbbb', 'ccccc-ddddd'],
        },
      }),
      'POST /api/auth/two-factor/verify-totp': () =>
        right ? { body: {} } : { status: 401, body: { message: 'Invalid code' } },
    });
    render(<SecondFactor enabled={false} />);
    write('Your password', 'four gulls over the quay');
    await press('Begin');
    expect(await screen.findByText('ccccc-ddddd')).toBeTruthy();
    expect(screen.getByText('GEZDGNBV')).toBeTruthy();
    write('Code that it shows now', '000000');
    await press('Switch on');
    expect(await screen.findByText(/look at the clock/)).toBeTruthy();
    right = true;
    await press('Switch on');
    expect(await screen.findByText('From now on your sign-in asks for a code.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Switch off' })).toBeTruthy();
  });
});

describe('a password through a link', () => {
  it('has to be typed twice alike; what the server says of it stands at its field', async () => {
    const calls = serve({
      'POST /api/join': () => ({
        status: 422,
        body: {
          status: 422,
          code: 'invalid',
          title: 'Not accepted.',
          errors: [{ path: ['password'], message: 'Use at least 12 characters.' }],
        },
      }),
    });
    render(<JoinForm token="t" email="j@clinic.example" />);
    write(/^Password/, 'short');
    write('The same again', 'shorter');
    await press('Set the password');
    expect(screen.getByText('The two do not match.')).toBeTruthy();
    expect(calls).toEqual([]);
    write('The same again', 'short');
    await press('Set the password');
    expect(await screen.findByText('Use at least 12 characters.')).toBeTruthy();
  });
});
