import { BLIND } from '@tests/fixtures/vignettes/blind';
import { DIFFICULT } from '@tests/fixtures/vignettes/difficult';
import { ROWS_BLIND, ROWS_TASKS } from '@tests/fixtures/vignettes/rows';
import { TEXTBOOK } from '@tests/fixtures/vignettes/textbook';
import { unmetBy, type Vignette } from '@tests/fixtures/vignettes/vignette';
import { describe, expect, it } from 'vitest';

const named = (vignettes: readonly Vignette[]) =>
  vignettes.map((vignette) => [vignette.name, vignette] as const);

describe('twenty textbook vignettes over every school', () => {
  it.each(named(TEXTBOOK))('%s', (_, vignette) => {
    expect(unmetBy(vignette)).toEqual([]);
  });
});

describe('ten vignettes written blind', () => {
  it.each(named(BLIND))('%s', (_, vignette) => {
    expect(unmetBy(vignette)).toEqual([]);
  });
});

describe('sixty vignettes over the rows of practice', () => {
  it.each(named([...ROWS_BLIND, ...ROWS_TASKS, ...DIFFICULT]))('%s', (_, vignette) => {
    expect(unmetBy(vignette)).toEqual([]);
  });

  it('are sixty, half of them written blind, twelve difficult', () => {
    expect([ROWS_BLIND.length, ROWS_TASKS.length, DIFFICULT.length]).toEqual([30, 18, 12]);
  });
});

describe('the vignettes themselves', () => {
  it('cover every school, name a source each, and can fail', () => {
    expect(TEXTBOOK).toHaveLength(20);
    expect(BLIND).toHaveLength(10);
    expect(new Set(TEXTBOOK.map((vignette) => vignette.school ?? 'balanced')).size).toBe(4);
    for (const { source } of [...TEXTBOOK, ...BLIND]) expect(source.length).toBeGreaterThan(5);
    const wrong = (expects: Vignette['expects']) =>
      unmetBy({ name: '', source: '', findings: { left: { pain: ['achilles-mid'] } }, expects });
    expect(wrong([{ feature: 'drop', best: [0, 4] }])).toHaveLength(1);
    expect(wrong([{ feature: 'drop', silent: true }])).toHaveLength(1);
    expect(wrong([{ feature: 'drop', tense: true }])).toHaveLength(1);
    expect(wrong([{ feature: 'drop', limit: [0, 9] }])).toHaveLength(1);
    expect(wrong([{ feature: 'category', within: ['minimal'] }])).toHaveLength(1);
    expect(wrong([{ feature: 'category', excludes: ['neutral'] }])).toHaveLength(1);
    expect(wrong([{ feature: 'toeProtection', excludes: ['safety'] }])).toHaveLength(1);
  });
});
