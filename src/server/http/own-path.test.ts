import { describe, expect, it } from 'vitest';
import { pathOfThisSite } from './own-path';

describe('where a sign-in leads', () => {
  it.each(['/today', '/patients?q=a%20b', '/visits/1#reason'])('%s is a path of this site', (path) => {
    expect(pathOfThisSite(path)).toBe(path);
  });

  it.each([
    '//host/a',
    '/\\host',
    '/\t/host',
    '/\n/host',
    '\t//host',
    'https://host',
    'javascript:alert(1)',
    '/..//host',
    '',
    'today',
  ])('%j leads to Today', (elsewhere) => {
    expect(pathOfThisSite(elsewhere)).toBe('/today');
  });
});
