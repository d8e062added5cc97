import { describe, expect, it } from 'vitest';
import { passwordProblem } from './passwords';

const ABOUT = ['Mara Quill', 'mara@ferry-clinic.example', 'Ferry Clinic'];

describe('a new password', () => {
  it.each(['low-tide-lantern', 'four gulls over the quay', 'Ödland 2031 Regenrinne', '👟👟 walking uphill'])(
    '%s is taken',
    (password) => {
      expect(passwordProblem(password, ABOUT)).toBeNull();
    },
  );

  it.each([
    ['short', /at least 12/],
    ['x'.repeat(129), /at most 128/],
    ['aaaaaaaaaaaaaaaa', /repeats/],
    ['password1234567', /tried first/],
    ['1234567890123', /Digits alone/],
    ['FerryClinic2026!', /name that others know/],
    ['maraquill-2030', /name that others know/],
  ])('%s is refused', (password, why) => {
    expect(passwordProblem(password, ABOUT)).toMatch(why);
  });
});
