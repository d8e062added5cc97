import { createHash } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { canonical } from '../prescribe/counterfactual/replay';
import { KNOWLEDGE_VERSION, RULES } from './knowledge-base';

/**
 * What the shipped rules amount to under each version. When a rule changes on purpose: raise KNOWLEDGE_VERSION in
 * knowledge-base.ts and add a line here; the lines above stay, since specifications were issued under them.
 */
const FINGERPRINTS: Readonly<Record<string, string>> = {
  '2': 'bb2e9f083d8bd867',
  '3': 'e1b53d2820cd8751',
  '4': 'd1c7c81fc9b28596',
  '5': 'a93705b0636a1fed',
  '6': 'c23ccdf5618f7a66',
  '7': 'e12979c6f69b7953',
  '8': '1fab639efe05facb',
  '9': '61bd23d11f12c758',
};

describe('the edition of the knowledge', () => {
  it('no rule changes without another version: what was issued names the rules that made it', () => {
    const text = canonical([...RULES].sort((a, b) => (a.id < b.id ? -1 : 1)));
    expect(createHash('sha256').update(text).digest('hex').slice(0, 16)).toBe(
      FINGERPRINTS[KNOWLEDGE_VERSION],
    );
  });

  it('the version in force is the latest one that was written down', () => {
    expect(Object.keys(FINGERPRINTS).at(-1)).toBe(KNOWLEDGE_VERSION);
  });
});
