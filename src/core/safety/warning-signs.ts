/** How soon a warning sign has to be seen by whoever treats it. */
export type Urgency =
  | 'same-day'
  | 'within-2-days'
  | 'within-days'
  | 'within-weeks'
  | 'urgent'
  | 'stop-wearing';

export const URGENCY_LABEL: Record<Urgency, string> = {
  'same-day': 'same day',
  'within-2-days': 'within 24–48 h (same day for an at-risk foot)',
  'within-days': 'unload, image within days',
  'within-weeks': 'refer within weeks, support meanwhile',
  urgent: 'urgent referral',
  'stop-wearing': 'prosthetist, stop wearing',
};

interface WarningSignText {
  id: string;
  sign: string;
  suspect: string;
  urgency: Urgency;
  mark: string;
}

/** Signs that stop a fitting. Recognition only: what to do follows local pathways and the practitioner's scope. */
export const WARNING_SIGNS = [
  {
    id: 'hot-swollen-insensate',
    sign: 'Hot, red, swollen foot with loss of protective sensation',
    suspect: 'active neuro-arthropathy or infection',
    urgency: 'same-day',
    mark: 'IWGDF 2023, from memory',
  },
  {
    id: 'open-wound',
    sign: 'Open wound, ulcer, discharge or black tissue',
    suspect: 'ulcer or infection',
    urgency: 'within-2-days',
    mark: 'IWGDF 2023, from memory',
  },
  {
    id: 'ischaemia',
    sign: 'Cold, pale or blue foot, rest pain, no pulses',
    suspect: 'critical limb ischaemia',
    urgency: 'same-day',
    mark: 'common practice',
  },
  {
    id: 'calf-swelling',
    sign: 'One-sided calf swelling, warmth, tenderness',
    suspect: 'deep vein thrombosis',
    urgency: 'same-day',
    mark: 'common practice',
  },
  {
    id: 'fracture-rule',
    sign: 'After injury: cannot take four steps, or bone tenderness at a malleolus (back edge or tip, lower 6 cm), base of the fifth metatarsal or navicular',
    suspect: 'fracture: X-ray',
    urgency: 'same-day',
    mark: 'Stiell 1992/1993 ankle rules, from memory',
  },
  {
    id: 'bone-stress',
    sign: 'Focal bone tenderness, pain on hopping, worse with load, ache at night',
    suspect: 'bone stress injury',
    urgency: 'within-days',
    mark: 'common practice',
  },
  {
    id: 'achilles-rupture',
    sign: 'Sudden pop at the heel cord, no push-off, calf squeeze moves nothing',
    suspect: 'Achilles rupture',
    urgency: 'same-day',
    mark: 'common practice',
  },
  {
    id: 'nerve',
    sign: 'New foot drop, saddle numbness or rapidly changing weakness',
    suspect: 'nerve or spine',
    urgency: 'same-day',
    mark: 'common practice',
  },
  {
    id: 'tibialis-posterior',
    sign: 'One arch flattening progressively, cannot rise on that heel',
    suspect: 'tibialis posterior dysfunction',
    urgency: 'within-weeks',
    mark: 'common practice',
  },
  {
    id: 'systemic',
    sign: 'Fever, night sweats or unexplained weight loss with bone pain',
    suspect: 'systemic disease',
    urgency: 'urgent',
    mark: 'common practice',
  },
  {
    id: 'residual-limb',
    sign: 'Skin breakdown or new pain on a residual limb',
    suspect: 'socket problem',
    urgency: 'stop-wearing',
    mark: 'common practice',
  },
] as const satisfies readonly WarningSignText[];

export type WarningSignId = (typeof WARNING_SIGNS)[number]['id'];
export type WarningSign = WarningSignText & { id: WarningSignId };

const signOf = (id: WarningSignId): WarningSign | undefined => WARNING_SIGNS.find((sign) => sign.id === id);

export type WarningAction = 'referred' | 'under-care' | 'excluded';
export const WARNING_ACTIONS: Record<WarningAction, string> = {
  referred: 'Referred',
  'under-care': 'Already under care',
  excluded: 'Excluded on examination',
};

/** What is written down of an answer. */
export type AnswerField = 'to' | 'on' | 'how' | 'footwear' | 'note';

/** What each answer must say before it counts, with the question at its field. */
export const ANSWER_FIELDS: Record<WarningAction, readonly { field: AnswerField; label: string }[]> = {
  referred: [
    { field: 'to', label: 'To whom' },
    { field: 'on', label: 'On which day' },
    { field: 'how', label: 'How (letter, telephone, went along)' },
  ],
  'under-care': [
    { field: 'to', label: 'In whose care' },
    { field: 'on', label: 'Last seen on' },
    { field: 'footwear', label: 'What was agreed about footwear' },
  ],
  excluded: [{ field: 'note', label: 'Excluded by what' }],
};

/** One sign that was seen, and what was done about it. */
export type SeenWarning = Partial<Record<AnswerField, string>> & {
  sign: WarningSignId;
  action?: WarningAction | undefined;
  /** Who said that a pair may go out after a same-day sign, and on which day. */
  clearedBy?: string | undefined;
  clearedOn?: string | undefined;
};

/** The check at a visit: was it done, which signs were seen, and what was done about each. */
export interface WarningCheck {
  /** True once the practitioner says that none but the listed signs are present. */
  checked?: boolean | undefined;
  present?: SeenWarning[] | undefined;
}

export interface OpenWarning {
  sign: WarningSignId | 'unchecked';
  message: string;
}

/** How soon a sign is to be seen; a wound of an at-risk foot on the same day. */
export const urgencyOf = (id: WarningSignId, isAtRisk: boolean): Urgency =>
  id === 'open-wound' && isAtRisk ? 'same-day' : (signOf(id)?.urgency ?? 'same-day');

/** Questions of an answer that are still empty. */
const unanswered = (seen: SeenWarning, action: WarningAction): string[] =>
  ANSWER_FIELDS[action].flatMap(({ field, label }) => (seen[field]?.trim() ? [] : [label.toLowerCase()]));

const isCleared = ({ action, clearedBy, clearedOn }: SeenWarning): boolean =>
  action === 'excluded' || (Boolean(clearedBy?.trim()) && Boolean(clearedOn));

/** What one sign still asks for; null when it holds nothing up. */
function openSign(seen: SeenWarning, isAtRisk: boolean): OpenWarning | null {
  const name = signOf(seen.sign)?.sign ?? seen.sign;
  if (!seen.action) return { sign: seen.sign, message: `${name}: record what was done.` };
  const missing = unanswered(seen, seen.action);
  if (missing.length > 0) return { sign: seen.sign, message: `${name}: write down ${missing.join(', ')}.` };
  if (urgencyOf(seen.sign, isAtRisk) === 'same-day' && !isCleared(seen))
    return {
      sign: seen.sign,
      message: `${name}: same day. No pair goes out until somebody records who cleared it, and when.`,
    };
  return null;
}

/**
 * What still stands between this visit and a hand-over. A sign is answered by an action with all its fields; one for the
 * same day also holds the pair until it was cleared, unless it was excluded. A check that nobody made blocks as well,
 * because unknown is not normal.
 */
export function openWarnings(
  { checked, present = [] }: WarningCheck,
  suggested: readonly { sign: WarningSignId }[] = [],
  isAtRisk = false,
): OpenWarning[] {
  const seen = present.flatMap((entry) => openSign(entry, isAtRisk) ?? []);
  const pointedAt = [...new Set(suggested.map(({ sign }) => sign))]
    .filter((id) => !present.some(({ sign }) => sign === id))
    .map((id) => ({
      sign: id,
      message: `The findings suggest: ${signOf(id)?.sign}. Mark it, then refer or exclude it.`,
    }));
  const unchecked = {
    sign: 'unchecked',
    message: 'The warning signs have not been checked at this visit.',
  } as const;
  return [...seen, ...pointedAt, ...(checked ? [] : [unchecked])];
}
