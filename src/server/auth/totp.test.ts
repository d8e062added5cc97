import { totp } from '@tests/fixtures/totp';
import { describe, expect, it } from 'vitest';

describe('the authenticator of the tests', () => {
  // RFC 6238, appendix B, SHA-1, the last six of its eight digits. The key is the ASCII text 12345678901234567890.
  it.each([
    [59, '287082'],
    [1111111109, '081804'],
    [1234567890, '005924'],
    [2000000000, '279037'],
  ])('at %d s shows %s', (seconds, code) => {
    expect(totp('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ', seconds * 1000)).toBe(code);
  });
});
