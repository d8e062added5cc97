import { describe, expect, it } from 'vitest';
import type { Findings } from './picture';
import type { Taken } from './taken';
import { withValues } from './with-values';

const now: Taken = { at: '2030-06-15T09:40:00Z', by: 'A. Observer', with: 'scan' };
const before: Taken = { ...now, with: 'hand' };
const findings: Findings = {
  body: { falls: 1 },
  left: { footLength: 262, ballWidth: 98 },
  taken: { 'left.footLength': before, 'body.falls': before },
};

describe('values put in and taken out', () => {
  it('each carries how it was taken; what is not named stays, with its own', () => {
    const next = withValues(findings, [{ place: 'left', id: 'footLength', value: 263 }], now);
    expect(next.left).toEqual({ footLength: 263, ballWidth: 98 });
    expect(next.taken).toEqual({ 'left.footLength': now, 'body.falls': before });
  });

  it('a value taken out is not examined, and nothing says how it was taken', () => {
    const next = withValues(findings, [{ place: 'left', id: 'footLength', value: undefined }], now);
    expect(next.left).toEqual({ ballWidth: 98 });
    expect(next.taken).toEqual({ 'body.falls': before });
  });

  it('begins a side that has nothing yet, several values at once, and changes nothing it was given', () => {
    const copy = structuredClone(findings);
    const next = withValues(
      findings,
      [
        { place: 'right', id: 'footLength', value: 260 },
        { place: 'right', id: 'pain', value: [] },
      ],
      now,
    );
    expect(next.right).toEqual({ footLength: 260, pain: [] });
    expect(Object.keys(next.taken!)).toContain('right.pain');
    expect(findings).toEqual(copy);
  });
});
