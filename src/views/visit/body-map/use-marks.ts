import { type BodyMark, findingsOfMarks, type InjuryMark, type Layer } from '@/core/body-map/mark';
import type { Site } from '@/core/body-map/sites';
import type { ClinicalPicture } from '@/core/picture/clinical-picture';
import type { Side } from '@/core/picture/finding-kinds';
import type { FootFindingId } from '@/core/picture/findings';
import { useRecord, useStepContent, type Value } from '../use-findings';
import { useVisit } from '../visit-context';

const SETS = ['pain', 'injuries', 'skin'] as const;
const FINDINGS_OF: Record<Layer, readonly FootFindingId[]> = {
  ache: ['pain', 'worstPain'],
  injury: ['injuries'],
  skin: ['skin'],
};

const list = (value: unknown): string[] => (Array.isArray(value) ? (value as string[]) : []);

/**
 * Findings after marks have changed: what the marks say, and what was said without a mark before. A list that
 * loses its last entry goes back to “not examined”, not to “none”.
 */
function follow(
  layer: Layer,
  side: Side,
  now: ClinicalPicture[Side],
  before: BodyMark[],
  after: BodyMark[],
): Value[] {
  const was = findingsOfMarks(before, side);
  const is = findingsOfMarks(after, side);
  return FINDINGS_OF[layer].flatMap((id): Value[] => {
    if (id === 'worstPain') {
      // A score that was typed without a mark stays; “not examined” is no number.
      const typed = typeof now.worstPain === 'number' && was.worstPain === undefined;
      return [{ place: side, id, value: is.worstPain ?? (typed ? now.worstPain : undefined) }];
    }
    const set = id as (typeof SETS)[number];
    const unmarked = list(now[set]).filter((entry) => !list(was[set]).includes(entry));
    const value = [...new Set([...unmarked, ...list(is[set])])];
    return [{ place: side, id, value: value.length > 0 ? value : undefined }];
  });
}

/** Marks of one layer, kept with the step they belong to; findings follow them. */
export function useMarks(layer: Layer) {
  const step = layer === 'skin' ? 'feet' : 'ask';
  const { content } = useStepContent(step);
  const { visit, picture, readOnly } = useVisit();
  const record = useRecord(step);
  const own = (content.marks ?? []) as BodyMark[];
  const carried: InjuryMark[] =
    layer === 'injury' && !own.some((mark) => mark.layer === 'injury') ? (visit.carried?.injuries ?? []) : [];
  const marks = [...own, ...carried].filter((mark) => mark.layer === layer);

  const change = (after: BodyMark[], sides: readonly Side[]) => {
    if (readOnly) return;
    const held = [...own.filter((mark) => mark.layer !== layer), ...after];
    record(
      sides.flatMap((side) => follow(layer, side, picture[side], [...own, ...carried], held)),
      { with: 'hand', method: 'marked on the drawing' },
      { marks: held },
    );
  };
  const here = (site: Site, side: Side) =>
    marks.filter((mark) => mark.side === side && mark.site === site.id);
  /** Said in the findings without a mark: from an earlier version, or by a list. */
  const saidWithout = (site: Site, side: Side) =>
    layer === 'ache' && site.ache !== null && list(picture[side].pain).includes(site.ache);

  return {
    marks,
    carried: carried.length > 0,
    isOn: (site: Site, side: Side) => here(site, side).length > 0 || saidWithout(site, side),
    add: (site: Site, side: Side, at: { x: number; y: number } = site): BodyMark => {
      const mark = {
        id: crypto.randomUUID().slice(0, 8),
        layer,
        side,
        view: site.view,
        site: site.id,
        x: Math.round(Math.min(100, Math.max(0, at.x)) * 10) / 10,
        y: Math.round(Math.min(220, Math.max(0, at.y)) * 10) / 10,
      } as BodyMark;
      change([...marks, mark], [side]);
      return mark;
    },
    /** Takes every mark of a place away, and what was said of it without one. */
    clear: (site: Site, side: Side) => {
      if (readOnly) return;
      const after = marks.filter((mark) => !(mark.side === side && mark.site === site.id));
      const held = [...own.filter((mark) => mark.layer !== layer), ...after];
      const values = follow(layer, side, picture[side], [...own, ...carried], held).map((value) => {
        if (value.id !== 'pain' || site.ache === null) return value;
        const rest = list(value.value).filter(
          (entry) => entry !== site.ache || list(findingsOfMarks(held, side).pain).includes(entry),
        );
        return { ...value, value: rest.length > 0 ? rest : undefined };
      });
      record(values, { with: 'hand', method: 'marked on the drawing' }, { marks: held });
    },
    update: (mark: BodyMark) =>
      change(
        marks.map((entry) => (entry.id === mark.id ? mark : entry)),
        [mark.side],
      ),
    remove: (mark: BodyMark) =>
      change(
        marks.filter((entry) => entry.id !== mark.id),
        [mark.side],
      ),
  };
}
