import { valueInWords } from '../../examination/examination-record';
import { SIDES, type Side } from '../../findings/finding-kinds';
import { definitionOf, FINDING_IDS, type FindingId } from '../../findings/findings';
import { type ClinicalPicture, findingAt, NOT_EXAMINED } from '../../findings/picture';
import type { Knowledge } from '../../knowledge/edition';
import type { Condition, Rule } from '../../knowledge/rule';
import { type FeatureId, featureOf } from '../../shoe/features';
import { evaluate } from '../engine/evaluate';
import { findingsOfRule, indexOf } from '../engine/rule-index';
import type { Push, Specification, Target, Want } from '../engine/specification';
import { utilityAt } from '../engine/utility';
import { targetInWords } from './in-words';

/** A row: one thing that was found, on the sides where a rule made something of it. */
export interface BoardRow {
  finding: FindingId;
  /** What was found, in words. */
  says: string;
  sides: Side[];
}

/** A column: one target of the pair, or of one foot. */
export interface BoardColumn {
  target: Target;
  side?: Side;
}

export interface Board {
  rows: BoardRow[];
  columns: BoardColumn[];
  /** Pushes by row and column, heaviest first. */
  cells: Push[][][];
}

/** Which way a wish points, seen from a usual shoe. */
export type PullDirection = 'up' | 'down' | 'holds' | 'toward' | 'away';

export function wayOf(feature: FeatureId, want: Want): PullDirection {
  const definition = featureOf(feature);
  if (utilityAt(want, definition.usual) >= 0.999 && !('avoid' in want)) return 'holds';
  if (definition.kind === 'choice') return 'avoid' in want ? 'away' : 'toward';
  if ('band' in want) {
    if (definition.usual < want.band.from) return 'up';
    return definition.usual > want.band.to ? 'down' : 'holds';
  }
  if (!('curve' in want)) return 'holds';
  const [top] = want.curve.toSorted((a, b) => b[1] - a[1]);
  return top![0] > definition.usual ? 'up' : 'down';
}

/** The first finding of a condition that holds: what a reader would name as the reason. */
function leading(condition: Condition, picture: ClinicalPicture, side: Side): FindingId | null {
  if ('not' in condition) return null;
  const parts = 'all' in condition ? condition.all : 'any' in condition ? condition.any : null;
  if (!parts)
    return evaluate(condition, picture, side) === 'yes'
      ? (condition as { finding: FindingId }).finding
      : null;
  for (const part of parts) {
    const found = leading(part, picture, side);
    if (found) return found;
  }
  return null;
}

/** Of a set only what the rules of its row ask for would be too clever: all that was chosen is shown. */
function found(picture: ClinicalPicture, finding: FindingId, sides: readonly Side[]): string {
  const words = sides.map((side) => {
    const value = findingAt(picture, finding, side);
    return value === NOT_EXAMINED ? '' : valueInWords(definitionOf(finding), value);
  });
  return [...new Set(words.filter(Boolean))].join(' / ');
}

/** The weight by which marks of one cell are ordered: limits first. */
const displayWeight = (push: Push): number => (push.strength === 'limit' ? 100 : push.weight);

/** What a clinician set aside or decided stays in sight, even where nothing else asks for the feature. */
const isDecidedUpon = (target: Target): boolean =>
  target.decision !== undefined || target.pushes.some((push) => push.setAside !== undefined);

/**
 * Findings × targets, with every push in its place. Targets that leave everything open are left out; rows are in the
 * order in which a practitioner works, columns in the order of the shoe.
 */
export function boardOf(specification: Specification, picture: ClinicalPicture, knowledge: Knowledge): Board {
  const { byId } = indexOf(knowledge.rules);
  const columns: BoardColumn[] = [
    ...specification.targets.map((target) => ({ target })),
    ...SIDES.flatMap((side) => specification.feet[side].map((target) => ({ target, side }))),
  ].filter(({ target }) => targetInWords(target) !== 'any' || isDecidedUpon(target));
  const rowOf = (push: Push): FindingId => {
    const rule: Rule | undefined = byId.get(push.rule);
    for (const side of push.sides) {
      const finding = rule && leading(rule.when, picture, side);
      if (finding) return finding;
    }
    // A rule whose condition is only that something is absent rests on what it read first.
    return (rule && findingsOfRule(rule)[0]) ?? 'ageYears';
  };
  const byFinding = new Map<FindingId, { sides: Set<Side>; byColumn: Map<number, Push[]> }>();
  for (const [at, { target }] of columns.entries())
    for (const push of target.pushes) {
      const finding = rowOf(push);
      const row = byFinding.get(finding) ?? { sides: new Set<Side>(), byColumn: new Map<number, Push[]>() };
      for (const side of push.sides) row.sides.add(side);
      row.byColumn.set(at, [...(row.byColumn.get(at) ?? []), push]);
      byFinding.set(finding, row);
    }
  const ids = FINDING_IDS.filter((id) => byFinding.has(id));
  return {
    columns,
    rows: ids.map((finding) => {
      const sides = SIDES.filter((side) => byFinding.get(finding)!.sides.has(side));
      return { finding, sides, says: found(picture, finding, sides) };
    }),
    cells: ids.map((id) =>
      columns.map((_, at) =>
        (byFinding.get(id)!.byColumn.get(at) ?? []).toSorted((a, b) => displayWeight(b) - displayWeight(a)),
      ),
    ),
  };
}
