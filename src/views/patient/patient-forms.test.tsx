import { cleanup, render, screen } from '@testing-library/react';
import { press, saidAt, write } from '@tests/fixtures/acting';
import { serve } from '@tests/fixtures/visit-view';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ConsentRecord } from '@/contract/patients-schema';
import type { PatientRecord } from '@/contract/records';
import { LogForm } from '../pair/LogForm';
import { Consents } from './Consents';
import { OnePersonsData } from './OnePersonsData';
import { PatientForm } from './PatientForm';

const gone: string[] = [];
beforeEach(() => {
  gone.length = 0;
  vi.spyOn(location, 'assign').mockImplementation((to) => {
    gone.push(String(to));
  });
  vi.spyOn(location, 'reload').mockImplementation(() => {
    gone.push('reload');
  });
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});
const refused = (path: string, message: string) => ({
  status: 422,
  body: {
    status: 422,
    code: 'invalid',
    title: 'Some fields need another look.',
    errors: [{ path: [path], message }],
  },
});

const known: PatientRecord = {
  id: 'known',
  givenName: 'Ada',
  familyName: 'Exmple',
  bornOn: '1980-01-01',
  age: 46,
  sizingGroup: 'women',
  occupation: 'baker',
  heightMm: 1725,
  school: null,
  pairs: [],
  orders: [],
  visits: [],
  phone: '',
  email: '',
  address: '',
  contactBy: 'phone',
  language: 'en',
  archived: false,
  consents: [],
};

const LANGUAGES = [
  { language: 'en', name: 'English' },
  { language: 'de', name: 'Deutsch' },
];

describe('putting a record right', () => {
  it('begins with what is there and sends all of it; a height that was taken away is taken away', async () => {
    const calls = serve({ 'PATCH /patients/known': () => ({ body: { id: 'known' } }) });
    render(<PatientForm languages={LANGUAGES} patient={known} />);
    expect(screen.getByLabelText(/^Height/)).toHaveProperty('value', '172.5 cm');
    write('Family name', 'Example');
    write('Shoe sizing', 'women');
    write(/^Height/, '');
    write('E-mail', 'no address');
    await press('Save');
    expect(saidAt(screen.getByLabelText('E-mail'))).toMatch(/e-mail address/);
    expect(calls).toEqual([]);
    write('E-mail', '');
    write('Phone', '020 5551234');
    write('Reached by', 'text');
    await press('Save');
    expect(calls[0]!.body).toEqual({
      givenName: 'Ada',
      familyName: 'Example',
      bornOn: '1980-01-01',
      sizingGroup: 'women',
      occupation: 'baker',
      heightMm: null,
      phone: '020 5551234',
      email: '',
      address: '',
      contactBy: 'text',
      language: 'en',
    });
    expect(gone).toEqual(['/patients/known']);
  });
});

describe('one person’s data', () => {
  it('is erased only by a lead, with the name typed again; keeping is the button at hand', async () => {
    const calls = serve({
      'POST /patients/known/erase': (body) =>
        (body as { familyName: string }).familyName === 'Exmple'
          ? { body: { keptUntil: null, because: null } }
          : refused('familyName', 'This is not the family name of this patient.'),
    });
    const { unmount } = render(<OnePersonsData patientId="known" mayErase={false} />);
    expect(screen.queryByRole('button', { name: /Erase/ })).toBeNull();
    unmount();
    render(<OnePersonsData patientId="known" mayErase />);
    await press('Erase …');
    await press('Keep the record');
    expect(screen.queryByLabelText(/^Family name/)).toBeNull();
    await press('Erase …');
    write(/^Family name/, 'Other');
    write('Why', 'asked for it');
    await press('Erase for good');
    expect(screen.getByText('This is not the family name of this patient.')).toBeTruthy();
    expect(gone).toEqual([]);
    write(/^Family name/, 'Exmple');
    await press('Erase for good');
    expect(gone).toEqual(['/patients']);
    expect(calls.at(-1)!.body).toEqual({ familyName: 'Exmple', reason: 'asked for it' });
  });

  it('that a rule obliges to keep it is said with the rule, and one stays on the page to read it', async () => {
    const because = 'Kept until 1 Mar 2038: records are kept for 8 years after the last visit.';
    serve({ 'POST /patients/known/erase': () => ({ body: { keptUntil: '2038-03-01', because } }) });
    render(<OnePersonsData patientId="known" mayErase />);
    await press('Erase …');
    write(/^Family name/, 'Exmple');
    write('Why', 'asked for it');
    await press('Erase for good');
    expect(screen.getByRole('status').textContent).toContain(because);
    expect(gone).toEqual([]);
  });
});

describe('what was agreed to', () => {
  const given: ConsentRecord = {
    id: 'k1',
    kind: 'contact',
    how: 'signed',
    givenOn: '2030-01-02',
    note: '',
    recordedBy: 'Mara Quill',
    withdrawnOn: null,
  };

  it('stands kind by kind with how and when, and is taken back with today’s date', async () => {
    const calls = serve({
      'POST /consents/k1/withdraw': () => ({ status: 204, body: null }),
      'GET /patients/known/consents': () => ({ body: [{ ...given, withdrawnOn: '2030-05-06' }] }),
    });
    render(<Consents patientId="known" consents={[given]} today="2030-05-06" />);
    const row = () => screen.getByText('Being called or written to').closest('li')!;
    expect(row().textContent).toContain('2 Jan 2030, signed, noted by Mara Quill');
    await press(/^Taken back: Being called/);
    expect(calls[0]!.body).toEqual({ on: '2030-05-06' });
    expect(row().textContent).toContain('taken back 6 May 2030');
  });

  it('a new one begins with today; a day in the future is said at its field', async () => {
    const today = new Date().toISOString().slice(0, 10);
    const calls = serve({
      'POST /patients/known/consents': () => ({ status: 201, body: { id: 'k2' } }),
      'GET /patients/known/consents': () => ({ body: [{ ...given, kind: 'care' }] }),
    });
    render(<Consents patientId="known" consents={[]} today={today} />);
    await press(/^Note: Being examined/);
    write('On', '2999-01-01');
    await press('Agreed');
    expect(saidAt(screen.getByLabelText('On'))).toMatch(/in the future/);
    expect(calls).toEqual([]);
    write('On', today);
    write('How', 'guardian');
    await press('Agreed');
    expect(calls[0]!.body).toEqual({ kind: 'care', how: 'guardian', givenOn: today, note: '' });
    expect(screen.getByRole('button', { name: /^Taken back: Being examined/ })).toBeTruthy();
  });
});

describe('a new patient', () => {
  const fill = () => {
    write('Given name', 'Ada');
    write('Family name', 'Example');
    write('Date of birth', '1980-01-01');
    write('Shoe sizing', 'women');
  };

  it('height is read as people say it, and left out where nobody knows it', async () => {
    const calls = serve({ 'POST /patients': () => ({ body: { id: 'new' } }) });
    render(<PatientForm languages={LANGUAGES} />);
    fill();
    await press('Add');
    expect(calls[0]!.body).not.toHaveProperty('heightMm');
    write(/^Height/, '5 ft 8 in');
    await press('Add');
    expect(calls[1]!.body).toMatchObject({ heightMm: 1727, sizingGroup: 'women' });
    expect(gone).toEqual(['/patients/new', '/patients/new']);
  });

  it('a missing name, a birthday that is none and a height in words are each said at their field; nothing is sent', async () => {
    const calls = serve({});
    render(<PatientForm languages={LANGUAGES} />);
    write('Given name', '  ');
    write(/^Height/, 'rather tall');
    await press('Add');
    for (const label of ['Given name', 'Family name', 'Date of birth', /^Height/])
      expect(screen.getByLabelText(label).getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByLabelText(/^Height/)).toHaveProperty('value', 'rather tall');
    expect(calls).toHaveLength(0);
  });

  it('what the server calls heightMm is said at the height', async () => {
    serve({ 'POST /patients': () => refused('heightMm', 'Height lies between 40 and 250 cm.') });
    render(<PatientForm languages={LANGUAGES} />);
    fill();
    write(/^Height/, '300 cm');
    await press('Add');
    const height = screen.getByLabelText(/^Height/);
    expect(document.getElementById(height.getAttribute('aria-describedby')!)!.textContent).toContain(
      'between 40',
    );
    expect(gone).toEqual([]);
  });

  it('a server that cannot be reached is said once, and all that was typed stays', async () => {
    vi.stubGlobal('fetch', async () => {
      throw new TypeError('refused');
    });
    render(<PatientForm languages={LANGUAGES} />);
    fill();
    await press('Add');
    expect(screen.getByRole('alert').textContent).toMatch(/reach|connection/i);
    expect(screen.getByLabelText('Given name')).toHaveProperty('value', 'Ada');
  });
});

describe('a pair’s log', () => {
  const path = 'POST /pairs/p1/log';
  const show = () => render(<LogForm pairId="p1" today="2030-01-02" clock="km" />);

  it('miles become kilometres, what was not typed is not known', async () => {
    const calls = serve({ [path]: () => ({ body: {} }) });
    show();
    write('Distance, km', '5 mi');
    await press('Log');
    expect(calls[0]!.body).toEqual({
      on: '2030-01-02',
      distanceKm: expect.closeTo(8.04672, 4),
      amount: null,
      comfort: null,
      note: '',
    });
    expect(gone).toEqual(['reload']);
  });

  it('what the server says of distanceKm stands at the distance', async () => {
    serve({ [path]: () => refused('distanceKm', 'At most 400 km on one day.') });
    show();
    write('Distance, km', '500');
    await press('Log');
    expect(screen.getByText('At most 400 km on one day.').id).toBe(
      screen.getByLabelText('Distance, km').getAttribute('aria-describedby'),
    );
  });

  it('comfort in words is refused before it is sent', async () => {
    const calls = serve({});
    show();
    write('Comfort', 'lovely');
    await press('Log');
    expect(screen.getByText('Comfort is a number from 0 to 100.')).toBeTruthy();
    expect(calls).toHaveLength(0);
  });

  it('a pair that cannot be retired says why', async () => {
    serve({
      'POST /pairs/p1/end': () => ({
        status: 409,
        body: { status: 409, code: 'refused', title: 'This pair was retired before.' },
      }),
    });
    show();
    await press('Retire the pair');
    expect(screen.getByRole('alert').textContent).toContain('retired');
    expect(gone).toEqual([]);
  });
});
