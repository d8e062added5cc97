import type { Cause, Weight } from './causes';

interface Question {
  label: string;
  seconds: number;
  options: Readonly<Record<string, { label: string; usual: number; marks: Partial<Record<Cause, Weight>> }>>;
}

/**
 * What separates the causes (handbook 07), how long it takes to ask or to look, how usual each answer is where its cause does not
 * touch it, and in marks how much likelier each cause makes it. How usual, how long and how many marks: ours.
 */
export const QUESTIONS = {
  age: {
    label: 'How old is the pair in its life',
    seconds: 10,
    options: {
      new: { label: 'new', usual: 0.35, marks: { collar: 1, 'contour-high': 1, 'too-short': 1, spent: -2 } },
      middle: { label: 'in the middle', usual: 0.45, marks: { spent: -1 } },
      spent: { label: 'worn out', usual: 0.2, marks: { spent: 2, 'too-wide': 1, 'contour-missing': 1 } },
    },
  },
  lacing: {
    label: 'Lacing',
    seconds: 10,
    options: {
      same: { label: 'as always', usual: 0.75, marks: { 'heel-slips': -1, 'slides-forward': -1 } },
      loosened: {
        label: 'comes loose, or was laced another way',
        usual: 0.25,
        marks: { 'heel-slips': 2, 'slides-forward': 2 },
      },
    },
  },
  feet: {
    label: 'One foot or both',
    seconds: 5,
    options: {
      both: { label: 'both', usual: 0.6, marks: { camber: -2, sock: 1 } },
      one: { label: 'one', usual: 0.4, marks: { camber: 2, sock: -1 } },
    },
  },
  hills: {
    label: 'Hills',
    seconds: 5,
    options: {
      flat: { label: 'mostly flat', usual: 0.55, marks: { 'slides-forward': -1 } },
      up: { label: 'much uphill', usual: 0.2, marks: { 'heel-slips': 2 } },
      down: { label: 'much downhill', usual: 0.25, marks: { 'slides-forward': 2, 'too-short': 1 } },
    },
  },
  camber: {
    label: 'Side of the road',
    seconds: 5,
    options: {
      level: { label: 'level, or both sides', usual: 0.8, marks: { camber: -2 } },
      same: { label: 'always the same side lower', usual: 0.2, marks: { camber: 2 } },
    },
  },
  wet: {
    label: 'Wet feet',
    seconds: 5,
    options: {
      dry: { label: 'dry', usual: 0.7, marks: { sock: -1 } },
      wet: { label: 'wet', usual: 0.3, marks: { sock: 2 } },
    },
  },
  sock: {
    label: 'Socks',
    seconds: 5,
    options: {
      wool: { label: 'wool or wicking', usual: 0.6, marks: { sock: -1 } },
      cotton: { label: 'cotton', usual: 0.3, marks: { sock: 2 } },
      thick: { label: 'thick, or two pairs', usual: 0.1, marks: { 'too-narrow': 1, 'too-short': 1 } },
    },
  },
  pinch: {
    label: 'Pinches at the sides',
    seconds: 10,
    options: {
      no: { label: 'no', usual: 0.75, marks: { 'too-narrow': -2 } },
      yes: { label: 'yes', usual: 0.25, marks: { 'too-narrow': 2, 'too-wide': -2 } },
    },
  },
  arch: {
    label: 'Under the arch',
    seconds: 10,
    options: {
      right: { label: 'right', usual: 0.7, marks: { 'contour-high': -2, 'contour-missing': -1 } },
      presses: { label: 'presses', usual: 0.15, marks: { 'contour-high': 2, 'contour-missing': -2 } },
      nothing: {
        label: 'feels nothing there',
        usual: 0.15,
        marks: { 'contour-missing': 2, 'contour-high': -2 },
      },
    },
  },
  insert: {
    label: 'Insert',
    seconds: 5,
    options: {
      none: { label: 'none, or an old one', usual: 0.85, marks: { 'contour-high': -1 } },
      new: {
        label: 'a new one',
        usual: 0.15,
        marks: { 'contour-high': 2, 'heel-slips': 1, 'too-narrow': 1 },
      },
    },
  },
  steps: {
    label: 'Steps of one foot in a minute, running',
    seconds: 60,
    options: {
      quick: { label: '85 or more, or does not run', usual: 0.7, marks: { 'long-contact': -2 } },
      slow: { label: 'under 85', usual: 0.3, marks: { 'long-contact': 2 } },
    },
  },
  sound: {
    label: 'Landing by ear',
    seconds: 15,
    options: {
      quiet: { label: 'quiet', usual: 0.75, marks: { 'long-contact': -1 } },
      loud: { label: 'a slap or a scrape', usual: 0.25, marks: { 'long-contact': 2, 'slides-forward': 1 } },
    },
  },
  room: {
    label: 'Room in front, standing',
    seconds: 20,
    options: {
      enough: { label: '10 mm or more', usual: 0.75, marks: { 'too-short': -2 } },
      little: { label: 'less than 10 mm', usual: 0.15, marks: { 'too-short': 2, 'slides-forward': 1 } },
      much: {
        label: 'more than 20 mm',
        usual: 0.1,
        marks: { 'too-wide': 2, 'heel-slips': 1, 'slides-forward': 1, 'too-short': -2 },
      },
    },
  },
  width: {
    label: 'Upper over the ball',
    seconds: 10,
    options: {
      right: { label: 'lies close', usual: 0.7, marks: { 'too-wide': -1 } },
      folds: { label: 'folds when pinched', usual: 0.15, marks: { 'too-wide': 2, 'too-narrow': -2 } },
      bulges: { label: 'bulges over the sole', usual: 0.15, marks: { 'too-narrow': 2, 'too-wide': -2 } },
    },
  },
  heel: {
    label: 'Heel on tip-toe',
    seconds: 10,
    options: {
      stays: { label: 'stays', usual: 0.75, marks: { 'heel-slips': -2 } },
      lifts: { label: 'lifts', usual: 0.25, marks: { 'heel-slips': 2, 'too-wide': 1 } },
    },
  },
  edge: {
    label: 'An edge or a seam under the finger there',
    seconds: 15,
    options: {
      no: { label: 'no', usual: 0.8, marks: { collar: -2 } },
      yes: { label: 'yes', usual: 0.2, marks: { collar: 2 } },
    },
  },
  roll: {
    label: 'Heel from behind, walking',
    seconds: 30,
    options: {
      middle: { label: 'neither way', usual: 0.6, marks: { 'rolls-in': -2, 'rolls-out': -2 } },
      in: { label: 'rolls in', usual: 0.25, marks: { 'rolls-in': 2, 'rolls-out': -2 } },
      out: { label: 'rolls out', usual: 0.15, marks: { 'rolls-out': 2, 'rolls-in': -2 } },
    },
  },
  lining: {
    label: 'Insole and lining at the place',
    seconds: 15,
    options: {
      whole: { label: 'whole', usual: 0.85, marks: { spent: -1 } },
      worn: { label: 'worn through', usual: 0.15, marks: { spent: 2 } },
    },
  },
} as const satisfies Record<string, Question>;
export type QuestionId = keyof typeof QUESTIONS;
export type SpotAnswers = { readonly [Q in QuestionId]?: keyof (typeof QUESTIONS)[Q]['options'] & string };

/** The questions as a table that is walked. */
export const QUESTION_TABLE: Readonly<Record<QuestionId, Question>> = QUESTIONS;
