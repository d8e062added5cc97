import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import { FINDINGS } from '../findings/findings';
import type { FootFindings } from '../findings/picture';
import { followMarks } from './follow';
import { type BodyMark, findingsOfMarks, injuryTimeline } from './mark';
import { nearestSite, SITES, sitesOn, VIEWS, type View } from './sites';

const base = { id: 'm', side: 'left' as const, x: 0, y: 0 };
const marks: BodyMark[] = [
  { ...base, layer: 'ache', view: 'back', site: 'achilles-mid', score: 5, when: ['start-up'] },
  { ...base, layer: 'ache', view: 'sole', site: 'plantar-heel', score: 7 },
  { ...base, layer: 'ache', view: 'sole', site: 'outer-edge', score: 2 },
  {
    ...base,
    layer: 'injury',
    view: 'outer',
    site: 'ankle-outer',
    what: 'lateral-sprain',
    on: '2028-05',
    state: 'healed',
  },
  { ...base, layer: 'injury', view: 'outer', site: 'fifth-base', what: 'other' },
  { ...base, layer: 'injury', view: 'front', site: 'shin', what: 'bone-stress', on: '2021' },
  { ...base, layer: 'skin', view: 'sole', site: 'first-head', kind: 'callus' },
  { ...base, layer: 'skin', view: 'sole', site: 'fifth-head', kind: 'callus' },
  { ...base, layer: 'skin', view: 'top', site: 'fifth-toe', kind: 'redness' },
];

describe('sites on the drawings', () => {
  it('give every ache of the vocabulary exactly one place', () => {
    const aches = SITES.flatMap((site) => site.ache ?? []);
    expect(aches.toSorted()).toEqual(Object.keys(FINDINGS.pain.options).toSorted());
    expect(new Set(SITES.map((site) => site.id)).size).toBe(SITES.length);
  });

  it.each(Object.keys(VIEWS) as View[])('the nearest site of %s to each of its sites is itself', (view) => {
    for (const site of sitesOn(view)) expect(nearestSite(view, site.x + 1, site.y - 1).id).toBe(site.id);
  });
});

describe('marks speak the vocabulary of findings', () => {
  it('aches with their worst, injuries, skin; each once; the other side stays unasked', () => {
    expect(findingsOfMarks(marks, 'left')).toEqual({
      pain: ['achilles-mid', 'plantar-heel'],
      worstPain: 7,
      injuries: ['lateral-sprain', 'bone-stress'],
      skin: ['callus'],
      rubbedAt: ['ball', 'outer-edge'],
    });
    expect(findingsOfMarks(marks, 'right')).toEqual({});
  });

  it('injuries in time, undated last', () => {
    expect(injuryTimeline(marks).map((mark) => mark.site)).toEqual(['shin', 'ankle-outer', 'fifth-base']);
  });
});

describe('findings follow marks', () => {
  const now = (left: FootFindings) => clinicalPicture({ left }).left;
  const heel: BodyMark = { ...base, layer: 'ache', view: 'sole', site: 'plantar-heel', score: 4 };
  const said = (...args: Parameters<typeof followMarks>) =>
    Object.fromEntries(followMarks(...args).map(({ id, value }) => [id, value]));

  it('a first mark says its ache and its score', () => {
    expect(said('ache', 'left', now({}), [], [heel])).toEqual({ pain: ['plantar-heel'], worstPain: 4 });
  });

  it('what was said without a mark stays beside it, a typed score too', () => {
    const before = now({ pain: ['calf'], worstPain: 6 });
    expect(said('ache', 'left', before, [], [{ ...heel, score: undefined } as BodyMark])).toEqual({
      pain: ['calf', 'plantar-heel'],
      worstPain: 6,
    });
  });

  it('the last mark gone leaves “not examined”, not “none”; an explicit “none” gives way to a mark', () => {
    const marked = now({ pain: ['plantar-heel'], worstPain: 4 });
    expect(said('ache', 'left', marked, [heel], [])).toEqual({ pain: undefined, worstPain: undefined });
    expect(said('ache', 'left', now({ pain: [] }), [], [heel]).pain).toEqual(['plantar-heel']);
  });

  it('an ache taken back without a mark is forgotten, unless another mark still says it', () => {
    const before = now({ pain: ['calf', 'shin'] });
    expect(said('ache', 'left', before, [], [], 'calf').pain).toEqual(['shin']);
    const other: BodyMark = { ...heel, id: 'n' };
    expect(
      said('ache', 'left', now({ pain: ['plantar-heel'] }), [heel, other], [other], 'plantar-heel').pain,
    ).toEqual(['plantar-heel']);
  });

  it('injuries and skin follow in the same way and touch nothing else', () => {
    const sprain = marks.filter((mark) => mark.layer === 'injury');
    expect(said('injury', 'left', now({ pain: ['calf'] }), [], sprain)).toEqual({
      injuries: ['lateral-sprain', 'bone-stress'],
    });
    const skin = marks.filter((mark) => mark.layer === 'skin');
    expect(said('skin', 'left', now({ skin: ['corn'] }), [], skin)).toMatchObject({
      skin: ['corn', 'callus'],
    });
  });
});
