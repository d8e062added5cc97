import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { fitAdvice } from './fit-advice';
import { asksForPushOff, fittedFeet } from './push-off';
import type { TryOn } from './try-on';

const room = { least: 10, wished: 12, most: 15 };
const advised = (findings: Findings, tryOn: Partial<TryOn>) =>
  fitAdvice({ model: 'm', ...tryOn }, { room, feet: fittedFeet(clinicalPicture(findings)) }).map(
    ({ side, field, sentence }) => [side, field, sentence],
  );

describe('where a foot pushes off in a shoe', () => {
  it('speaks where that place hurts, and not beside it or on the other foot', () => {
    const sore: Findings = { left: { pain: ['big-toe'] } };
    expect(advised(sore, { left: { pushOff: 'big-toe' } })).toEqual([
      ['left', 'pushOff', 'Pushes off over the sore place in it: a sole that rolls before it.'],
    ]);
    expect(advised(sore, { left: { pushOff: 'middle' } })).toEqual([]);
    expect(advised(sore, { right: { pushOff: 'big-toe' } })).toEqual([]);
    expect(advised({ left: { pain: ['knee-front'] } }, { left: { pushOff: 'big-toe' } })).toEqual([]);
  });

  it('a shoe in which the foot no longer pushes off is too stiff or too heavy, unless it does not barefoot either', () => {
    expect(advised({ left: { pushOff: 'big-toe' } }, { left: { pushOff: 'none' } })[0]?.[2]).toMatch(
      /Does not push off in it, but does barefoot/,
    );
    expect(advised({ left: { pushOff: 'none' } }, { left: { pushOff: 'none' } })).toEqual([]);
    expect(advised({}, { left: { pushOff: 'none' } })).toEqual([]);
  });

  it('is watched in each pair only of who hurts where a push-off presses', () => {
    expect(asksForPushOff(clinicalPicture({ right: { pain: ['between-toes'] } }))).toBe(true);
    expect(asksForPushOff(clinicalPicture({ right: { pain: ['hip'] } }))).toBe(false);
    expect(asksForPushOff(clinicalPicture({}))).toBe(false);
  });
});

describe('what was seen per speed', () => {
  it('a shoe that moves more only at speed says so', () => {
    expect(advised({}, { seen: 'same', seenFast: 'moves-more' })).toEqual([
      [
        null,
        'seenFast',
        'Moves more than barefoot at speed, though not walking: firmer or broader for running in.',
      ],
    ]);
    expect(advised({}, { seen: 'moves-more', seenFast: 'moves-more' }).map(([, field]) => field)).toEqual([
      'seen',
      'seenFast',
    ]);
    expect(advised({}, { seenFast: 'moves-less' })).toEqual([]);
  });
});
