import { halfSizes, testShoe, testSizing } from '@tests/fixtures/invented-shoe';
import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import type { Findings } from '../findings/picture';
import { handOverBlocks } from '../fitting/hand-over-blocks';
import { readSession } from '../fitting/session';
import { knowledgeOf, NO_HOUSE_RULES } from '../knowledge/house-rules';
import { houseRulesSchema } from '../prescribe/check/house-rules-schema';
import { resolve } from '../prescribe/engine/resolve';
import { ALLOWANCES } from './allowances';
import { sizePair } from './size-pair';
import { roomWished } from './size-wish';

const THUMB = ALLOWANCES.find(({ label }) => label === 'a thumb’s width')!.room;
const usualRoom = (room: typeof THUMB | undefined) =>
  knowledgeOf({ ...NO_HOUSE_RULES, version: 3, settings: { usualRoom: room } });
const specified = (findings: Findings, room?: typeof THUMB) =>
  resolve(clinicalPicture(findings), { knowledge: usualRoom(room) });
const walker = { body: { activities: ['walking' as const] } };
const runner = { body: { activities: ['road-running' as const] } };

describe('a clinic that fits a thumb’s width', () => {
  it('wants it where nothing else speaks, and as much more for each task', () => {
    expect(roomWished(specified({}))).toEqual({ least: 10, wished: 12, most: 15 });
    expect(roomWished(specified({}, THUMB))).toEqual(THUMB);
    const [usual, long] = [roomWished(specified(runner)), roomWished(specified(runner, THUMB))];
    expect(long.wished - usual.wished).toBeCloseTo(THUMB.wished - 12, 9);
    expect(long.least).toBeGreaterThanOrEqual(THUMB.least);
  });

  it('never beyond a limit: an at-risk foot keeps its 10 to 20 mm, and what was pinned stays', () => {
    const atRisk = { ...walker, left: { sensation: 'lost' as const }, right: { sensation: 'lost' as const } };
    const room = roomWished(specified(atRisk, { least: 20, wished: 24, most: 26 }));
    expect(room.most).toBeLessThanOrEqual(20);
    expect(room.wished).toBeLessThanOrEqual(20);
    const pinned = resolve(clinicalPicture(runner), {
      knowledge: usualRoom(THUMB),
      decisions: [{ feature: 'toeRoom', kind: 'pin', band: { from: 13, to: 13 }, reason: 'asked for' }],
    });
    expect(roomWished(pinned).wished).toBe(13);
  });

  it('size, fitting and hand-over go by it together', () => {
    const model = testShoe('m', {}, { sizing: testSizing({ sizes: halfSizes(38, 46) }) });
    const picture = clinicalPicture({ ...walker, left: { footLength: 262 }, right: { footLength: 262 } });
    const size = (room?: typeof THUMB) => {
      const sized = sizePair(model, picture, resolve(picture, { knowledge: usualRoom(room) }));
      return sized.ok ? sized.value.left!.size : null;
    };
    expect(size(THUMB)!).toBeGreaterThan(size()!);
    const tryOn = { model: 'm', left: { roomMm: 12 }, right: { roomMm: 12 } };
    const session = (room?: typeof THUMB) =>
      readSession({
        tryOns: [tryOn],
        brought: ['m'],
        specification: specified(walker, room),
        ranked: [],
        models: new Map([['m', model]]),
        sizeOf: () => ({ ok: false, problem: { code: 'not-measured', path: [], message: '' } }),
      }).pairs[0]!.advice.map(({ level }) => level);
    expect(session()).toEqual(['good', 'good']);
    expect(session(THUMB)).toEqual(['stop', 'stop']);
    expect(handOverBlocks(tryOn, model, specified(walker))).toEqual([]);
    expect(handOverBlocks(tryOn, model, specified(walker, THUMB))).toHaveLength(2);
  });
});

describe('the setting itself', () => {
  const check = (room: object) =>
    houseRulesSchema.safeParse({ changes: [], settings: { usualRoom: room } }).success;
  it('is taken in order and within what shoes have', () => {
    for (const { room } of ALLOWANCES) expect(check(room)).toBe(true);
    expect(check({ least: 14, wished: 12, most: 15 })).toBe(false);
    expect(check({ least: 10, wished: 12, most: 40 })).toBe(false);
    expect(check({ least: 0, wished: 12, most: 15 })).toBe(false);
  });
});
