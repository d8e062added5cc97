import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { rolesInMarkdown } from './permissions';

describe('roles', () => {
  it('the page says what the table says: npm run docs:roles', () => {
    expect(readFileSync(new URL('../../docs/roles.md', import.meta.url), 'utf8')).toBe(rolesInMarkdown());
  });
});
