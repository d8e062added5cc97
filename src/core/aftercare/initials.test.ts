import { describe, expect, it } from 'vitest';
import { initialsOf } from './initials';

describe('initials on a label', () => {
  it('are of the first and the last name, whatever the script, and nothing more', () => {
    expect(initialsOf('Ada van der Example')).toBe('A. E.');
    expect(initialsOf('  Ödön  ')).toBe('Ö.');
    expect(initialsOf('Ηλέκτρα Νίκου')).toBe('Η. Ν.');
    expect(initialsOf('')).toBe('');
  });
});
