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

/** The check at a visit: was it done, which signs were seen, and what was done about each. */
export interface WarningCheck {
  /** True once the practitioner says that none but the listed signs are present. */
  checked?: boolean;
  present?: { sign: WarningSignId; action?: WarningAction; note?: string }[];
}

export interface OpenWarning {
  sign: WarningSignId | 'unchecked';
  message: string;
}

/**
 * What still stands between this visit and a hand-over. A sign is answered by an action with a note; a check
 * nobody made blocks as well, because unknown is not normal.
 */
export function openWarnings(check: WarningCheck, suggested: readonly WarningSignId[] = []): OpenWarning[] {
  const present = check.present ?? [];
  const blocks: OpenWarning[] = present
    .filter((entry) => !entry.action || !entry.note?.trim())
    .map((entry) => {
      const sign = signOf(entry.sign);
      return {
        sign: entry.sign,
        message: `${sign?.sign ?? entry.sign}: record what was done, with a note.`,
      };
    });
  for (const id of suggested) {
    if (present.some((entry) => entry.sign === id)) continue;
    const sign = signOf(id);
    if (sign)
      blocks.push({
        sign: id,
        message: `The findings suggest: ${sign.sign}. Confirm or exclude it, with a note.`,
      });
  }
  if (!check.checked)
    blocks.push({ sign: 'unchecked', message: 'The warning signs have not been checked at this visit.' });
  return blocks;
}
