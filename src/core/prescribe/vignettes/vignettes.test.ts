import { describe, expect, it } from 'vitest';
import { BLIND } from './blind';
import { unmetBy } from './vignette';

describe('ten vignettes written blind', () => {
  it.each(BLIND.map((vignette) => [vignette.name, vignette] as const))('%s', (_, vignette) => {
    expect(unmetBy(vignette)).toEqual([]);
  });
});
