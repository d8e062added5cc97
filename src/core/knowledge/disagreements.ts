import type { School } from './rule';

/** One question on which practitioners disagree, and what each camp answers; a camp without a view is absent. */
export interface Disagreement {
  question: string;
  answers: Partial<Record<School, string>>;
  /** A single dissenting voice within a camp, or what belongs to none; not counted as a camp. */
  single?: string;
}

/** The schools as they stand. Common practice: no camp names a source. */
export const DISAGREEMENTS: readonly Disagreement[] = [
  {
    question: 'What decides?',
    answers: {
      shape: 'Arch and roll type choose the kind of shoe.',
      comfort: 'What feels right in a trial among safe shoes; arch and wear carry little weight.',
      load: 'Load is moved away from the sore tissue.',
    },
  },
  {
    question: 'A foot that rolls out',
    answers: {
      shape: 'As much cushioning as possible.',
      comfort:
        'Only if it troubles: centred between walls on both sides, good cushioning, what is comfortable.',
      load: 'A broad base and no arch support: support tips it further.',
    },
  },
  {
    question: 'A low arch',
    answers: {
      shape: 'Motion control or stability.',
      comfort: 'Only if it hurts, or a comfort trial says so.',
      load: 'Support if the tissue on the inner side is the painful one.',
    },
    single: 'The flatter the foot, the more cushioning.',
  },
  {
    question: 'A high, rigid arch',
    answers: {
      shape: 'Cushioned neutral.',
      comfort: 'What is comfortable.',
      load: 'Cushioned: it has more risk of bone stress.',
    },
    single: 'Neutral and less cushioned, free to move.',
  },
  {
    question: 'Who is neutral?',
    answers: { comfort: 'Nobody needs the word.' },
    single: 'Most people, say some; one in five, say others.',
  },
  {
    question: 'No trouble at all',
    answers: {
      shape: 'Correct to prevent.',
      comfort: 'Leave it alone, except where the task itself is the danger.',
      load: 'Leave it alone.',
    },
  },
  {
    question: 'Insert or shoe first?',
    answers: {
      shape: 'A neutral shoe with an insert corrects too.',
      comfort: 'The shoe first.',
      load: 'An insert where a tissue needs it.',
    },
  },
  {
    question: 'Drop',
    answers: {
      shape: 'Conventional, 10–12 mm.',
      comfort: 'Always some heel, never flat; near what one is used to.',
      load: 'Low spares the knee and loads calf and heel cord; high the reverse.',
    },
  },
  {
    question: 'Break-in',
    answers: {
      shape: 'None: right at once or wrong; or shorter at first.',
      comfort: 'At home for one to two weeks, indoors.',
      load: 'In turn with the old pair; a race pair is run in slightly before the race.',
    },
  },
  {
    question: 'What sole wear tells',
    answers: {
      shape: 'The roll type.',
      comfort: 'Almost nothing: the outer heel is the usual landing place.',
      load: 'A clue only, beside gait, strength and pain.',
    },
  },
  {
    question: 'Start size',
    answers: {
      shape: 'Half to one size over the measured.',
      comfort: 'Fit, never the number.',
      load: 'A generous thumb’s width.',
    },
  },
  {
    question: 'When the second pair?',
    answers: {
      shape: 'When the first is used up, or has a third of its life left.',
      comfort: 'Two or three from the start.',
      load: 'At 500 km of the first, then in turn.',
    },
  },
  {
    question: 'The same pair or different ones in turn?',
    answers: {
      shape: 'Two of the same.',
      comfort: 'Either.',
      load: 'Different ones: load moves between tissues.',
    },
  },
  {
    question: 'How long does a pair last?',
    answers: {},
    single: 'From 250–400 miles to 500–750 km and more: each camp’s distance is a setting of the clinic.',
  },
  {
    question: 'Stay with a model that worked?',
    answers: {
      shape: 'No loyalty: models change yearly, try without prejudice.',
      comfort: 'Yes, unless its design changed.',
    },
  },
  {
    question: 'A bevel on the outer heel',
    answers: { comfort: 'A mild one is no reason to refuse a shoe.' },
    single: 'It may slow how a foot rolls in; nobody has a figure, so no rule pushes for it.',
  },
];
