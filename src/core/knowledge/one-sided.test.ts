import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { resolve } from '../prescribe/engine/resolve';

const specificationOf = (findings: Findings) => resolve(clinicalPicture(findings));
const asksForLegs = (findings: Findings) =>
  specificationOf(findings).open.some(
    ({ finding, rules }) => finding === 'legLengthDifference' && rules.includes('leg-length-ache-one-side'),
  );

describe('an ache on one side', () => {
  const heel = { pain: ['plantar-heel' as const] };

  it('asks for the leg lengths before the shoe is blamed', () => {
    expect(asksForLegs({ left: heel, right: { pain: [] } })).toBe(true);
    expect(asksForLegs({ left: heel })).toBe(true);
  });

  it('does not where the same aches on both sides, nor where nothing aches', () => {
    expect(asksForLegs({ left: heel, right: heel })).toBe(false);
    expect(asksForLegs({ left: { pain: [] }, right: { pain: [] } })).toBe(false);
  });

  it('with unequal legs says what to look at, with equal ones says nothing', () => {
    const cautions = (legLengthDifference: number) =>
      specificationOf({ body: { legLengthDifference }, left: heel, right: { pain: [] } }).cautions;
    expect(cautions(14).join(' ')).toMatch(/camber, leg length and a difference in size/);
    expect(cautions(0).join(' ')).not.toMatch(/camber/);
  });
});
