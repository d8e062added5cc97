import { describe, expect, it } from 'vitest';
import { type TextRole, tagContent } from './tagged-content';

const roleOf = (size: number): TextRole => (size > 15 ? 'H1' : size > 11 ? 'H2' : 'P');
/** A text of some lines as the writer of the page puts it: a frame for the node and its text, one for each line and run. */
const text = (size: number, ...runs: string[]) => [
  'q',
  'q',
  ...runs.flatMap((run) => ['q', 'q', 'BT', `/F1 ${size} Tf`, `[<${run}> 0] TJ`, 'ET', 'Q', 'Q']),
  'Q',
  'Q',
];

describe('tags on a page', () => {
  it('lines of one text are one paragraph, two texts are two, headings by their size', () => {
    const { texts } = tagContent(
      ['q', ...text(19, '01'), ...text(11.5, '02'), ...text(9, '03', '04'), ...text(9, '05'), 'Q'].join('\n'),
      roleOf,
    );
    expect(texts).toEqual([
      { role: 'H1', marks: [0] },
      { role: 'H2', marks: [1] },
      { role: 'P', marks: [2, 3] },
      { role: 'P', marks: [4] },
    ]);
  });

  it('every run is marked once, and nothing else is changed', () => {
    const before = ['q', ...text(9, '03', '04'), '0 0 m', 'Q'];
    const { content } = tagContent(before.join('\n'), roleOf);
    expect(content.split('\n').filter((line) => !/BDC$|^EMC$/.test(line))).toEqual(before);
    expect(content.match(/BDC/g)).toHaveLength(2);
    expect(content.match(/^EMC$/gm)).toHaveLength(2);
  });

  it('text in a drawing is an artifact', () => {
    const { content, texts } = tagContent(
      ['q', 'W n', ...text(9, '01'), 'Q', ...text(9, '02')].join('\n'),
      roleOf,
    );
    expect(content).toContain('/Artifact BMC');
    expect(texts).toEqual([{ role: 'P', marks: [0] }]);
  });
});
