import { describe, expect, it } from 'vitest';
import { causesOf } from './causes';
import { eventsOf } from './events';

const said = [
  { on: '2031-05-20', camber: 'left' },
  { on: '2031-01-10', camber: 'level' },
  { on: '2031-02-14', camber: 'level' },
] as const;

describe('camber on the time line', () => {
  it('is an event where two visits heard another side, in whatever order they come, and none where they agree', () => {
    const events = eventsOf([], '2031-06-01', said);
    expect(events).toHaveLength(1);
    expect(events[0]).toMatchObject({ kind: 'camber-changed', on: '2031-05-20' });
    expect(events[0]!.words).toContain('always the left foot lower');
    expect(eventsOf([], '2031-06-01', said.slice(1))).toEqual([]);
  });

  it('reaches hip and knee before the forefoot, and asks for the other side of the road', () => {
    const events = eventsOf([], '2031-06-01', said);
    const [hip, forefoot] = (['hip', 'forefoot'] as const).map((site) =>
      causesOf(site, '2031-05-30', events),
    );
    expect(hip!.causes[0]!.weight).toBeGreaterThan(forefoot!.causes[0]!.weight);
    expect(hip!.ask).toContain('other side of the road');
    expect(causesOf('hip', '2031-05-01', events).causes).toEqual([]);
  });
});
