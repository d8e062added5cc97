import { describe, expect, it } from 'vitest';
import { unkeepableText } from './text';

describe('text that cannot be stored', () => {
  it('is named at its field, however deep', () => {
    const body = { note: 'a\0b', list: [{ ok: 'fine' }, { name: '\ud800' }], 'bad\0key': 1 };
    expect(unkeepableText(body).map(({ path }) => path)).toEqual([['note'], ['list', 1, 'name'], []]);
  });

  it('whole characters of any script are text', () => {
    expect(unkeepableText({ a: 'Zoë 👟 ශ්‍රී', b: [1, null, true, '\t\n'] })).toEqual([]);
  });

  it('a body nested without end is refused, not followed', () => {
    let deep: unknown = 'x';
    for (let at = 0; at < 5000; at += 1) deep = [deep];
    expect(unkeepableText(deep)).toHaveLength(1);
  });
});
