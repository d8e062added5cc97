import { memoize } from '../memo/memoize';
import type { ProsthesisSettings } from '../prosthesis/settings';
import type { Room } from '../shoe/room';
import type { SignStrengths } from '../signs/signs';
import type { WhatIfSettings } from '../what-if/what-if';
import type { Knowledge } from './edition';
import { KNOWLEDGE_VERSION, RULES } from './knowledge-base';
import type { Rule, Strength } from './rule';

/** One departure of a clinic from the shipped knowledge, with its reason. */
export type HouseChange =
  | { kind: 'off'; rule: string; reason: string }
  | { kind: 'strength'; rule: string; strength: Strength; reason: string }
  | { kind: 'own'; rule: Rule; reason: string };

/** When outcomes are taken after a hand-over: at these weeks, then every so many months, unless the feet ask for more. */
export interface OutcomeSchedule {
  weeks: readonly number[];
  thenMonths: number;
}

/** Figures that the clinic sets: at the knee, the usual room in front of the toes, and what signs of wear are worth. */
export interface HouseSettings extends WhatIfSettings {
  usualRoom?: Room | undefined;
  /** When outcomes of a pair are asked for. */
  outcomes?: OutcomeSchedule | undefined;
  /** What may remain under a prosthetic foot, and how long a new one keeps its shoe. */
  prosthesis?: ProsthesisSettings | undefined;
  /** How strongly each sign of a worn pair is taken. */
  signStrengths?: SignStrengths | undefined;
}

/** All departures in force; a new version replaces the whole list, and old versions stay. */
export interface HouseRules {
  /** 0: the clinic has none. */
  version: number;
  changes: readonly HouseChange[];
  settings: HouseSettings;
}

export const NO_HOUSE_RULES: HouseRules = { version: 0, changes: [], settings: {} };

/** Topic of the rules that a clinic adds. */
export const HOUSE_TOPIC = 'House rules';

/** Rule that a change concerns. */
export const ruleOfChange = (change: HouseChange): string =>
  change.kind === 'own' ? change.rule.id : change.rule;

/** A rule at another strength: each wish keeps its place below the rule's own, limits stay limits unless named. */
function atStrength(rule: Rule, strength: Strength): Rule {
  return {
    ...rule,
    strength,
    wishes: rule.wishes.map((wish) => {
      const { strength: own, ...rest } = wish;
      // A wish that was as strong as its rule moves with it; one set weaker on purpose stays weaker.
      return own === undefined || own === rule.strength || own === 'limit' ? rest : wish;
    }),
  };
}

/** The rules in force in a clinic: shipped ones less those switched off, some at another strength, and its own. */
export function rulesInForce(house: HouseRules, shipped: readonly Rule[] = RULES): readonly Rule[] {
  if (house.changes.length === 0) return shipped;
  const off = new Set(house.changes.flatMap((change) => (change.kind === 'off' ? [change.rule] : [])));
  const strengths = new Map(
    house.changes.flatMap((change) =>
      change.kind === 'strength' ? [[change.rule, change.strength] as const] : [],
    ),
  );
  const own = house.changes.flatMap((change) => (change.kind === 'own' ? [change.rule] : []));
  return [
    ...shipped
      .filter((rule) => !off.has(rule.id))
      .map((rule) => {
        const strength = strengths.get(rule.id);
        return strength ? atStrength(rule, strength) : rule;
      }),
    ...own,
  ];
}

/** Name of an edition: the shipped version, and the clinic's where it has departed from it. */
export const editionOf = (house: HouseRules): string =>
  house.version === 0 ? KNOWLEDGE_VERSION : `${KNOWLEDGE_VERSION}+house.${house.version}`;

/** A clinic's knowledge under its edition's name; made once. */
export const knowledgeOf = memoize(
  (house: HouseRules): Knowledge => ({
    edition: editionOf(house),
    rules: rulesInForce(house),
    usualRoom: house.settings.usualRoom,
  }),
);
