import { followMarks } from '@/core/body-map/follow';
import type { BodyMark, InjuryMark, Layer } from '@/core/body-map/mark';
import type { Site } from '@/core/body-map/sites';
import type { Side } from '@/core/findings/finding-kinds';
import { useRecord, useStepContent } from '../use-findings';
import { useExamined } from '../visit-context';

/** Marks of one layer, kept with the step they belong to; findings follow them. */
export function useMarks(layer: Layer) {
  const step = layer === 'skin' ? 'feet' : 'ask';
  const { content } = useStepContent(step);
  const { visit, picture, readOnly } = useExamined();
  const record = useRecord(step);
  const own: BodyMark[] = content.marks ?? [];
  const carried: InjuryMark[] =
    layer === 'injury' && !own.some((mark) => mark.layer === 'injury') ? (visit.carried?.injuries ?? []) : [];
  const before = [...own, ...carried];
  const marks = before.filter((mark) => mark.layer === layer);

  const change = (after: BodyMark[], side: Side, forget: string | null = null) => {
    if (readOnly) return;
    const held = [...own.filter((mark) => mark.layer !== layer), ...after];
    record(
      followMarks(layer, side, picture[side], before, held, forget).map((value) => ({
        place: side,
        ...value,
      })),
      { with: 'hand', method: 'marked on the drawing' },
      // Skin is kept with the feet, aches and injuries with what was asked.
      step === 'feet'
        ? { marks: held.filter((mark) => mark.layer === 'skin') }
        : { marks: held.filter((mark) => mark.layer !== 'skin') },
    );
  };
  const isAt = (site: Site, side: Side) => (mark: BodyMark) => mark.side === side && mark.site === site.id;
  /** Said in the findings without a mark: from an earlier version, or by a list. */
  const saidWithout = (site: Site, side: Side) =>
    layer === 'ache' &&
    site.ache !== null &&
    Array.isArray(picture[side].pain) &&
    picture[side].pain.includes(site.ache);

  return {
    marks,
    carried: carried.length > 0,
    isOn: (site: Site, side: Side) => marks.some(isAt(site, side)) || saidWithout(site, side),
    add: (site: Site, side: Side, at: { x: number; y: number } = site): BodyMark => {
      const mark: BodyMark = {
        id: crypto.randomUUID(),
        layer,
        side,
        view: site.view,
        site: site.id,
        x: Math.round(Math.min(100, Math.max(0, at.x)) * 10) / 10,
        y: Math.round(Math.min(220, Math.max(0, at.y)) * 10) / 10,
      };
      change([...marks, mark], side);
      return mark;
    },
    /** Takes every mark of a place away, and what was said of it without one. */
    clear: (site: Site, side: Side) => {
      const here = isAt(site, side);
      change(
        marks.filter((mark) => !here(mark)),
        side,
        site.ache,
      );
    },
    update: (mark: BodyMark) =>
      change(
        marks.map((entry) => (entry.id === mark.id ? mark : entry)),
        mark.side,
      ),
    remove: (mark: BodyMark) =>
      change(
        marks.filter((entry) => entry.id !== mark.id),
        mark.side,
      ),
  };
}
