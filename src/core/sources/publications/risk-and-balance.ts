import type { Source } from '../source';

/** At-risk feet, falls, posture, growth, prosthesis. Recalled, not read from the papers. */
export const RISK_AND_BALANCE = {
  'iwgdf-2023': {
    cite: 'IWGDF 2023 (Bus 2024, Diabetes Metab Res Rev e3651)',
    says: 'At-risk foot: inside length 1–2 cm beyond the foot, width as the ball, room for toes, never barefoot.',
    recall: 93,
  },
  'bus-2013': {
    cite: 'Bus 2013, Diabetes Care',
    says: 'Worn ≥ 80 % of steps: ulcer recurrence 25.7 against 47.8 %.',
    recall: 90,
  },
  'lopez-moral-2019': {
    cite: 'López-Moral 2019, J Clin Med',
    says: 'Rigid rocker: re-ulceration 23 against 64 %.',
    recall: 80,
  },
  'menant-2008': {
    cite: 'Menant 2008 (several)',
    says: 'Thin firm sole, collar and low heel steady older people.',
    recall: 85,
  },
  'koepsell-2004': {
    cite: 'Koepsell 2004; Tencer 2004, J Am Geriatr Soc',
    says: 'Barefoot or stockings: far more falls; heels over 2.5 cm about double.',
    recall: 85,
  },
  'lymph-2006': {
    cite: 'Lymphoedema framework 2006',
    says: 'Adjustable, deep, seam-free, fitted late in the day.',
    recall: 72,
  },
  'segal-2013': {
    cite: 'Segal 2013, Am J Phys Med Rehabil',
    says: 'Pregnancy lengthens the foot 2–10 mm in most.',
    recall: 78,
  },
  'boone-2013': {
    cite: 'Boone 2013',
    says: 'Alignment changes of 3–6° measurably change socket moments.',
    recall: 75,
  },
  'uccioli-1995': {
    cite: 'Uccioli 1995, Diabetes Care',
    says: 'Therapeutic shoes: ulcers came back in 27.7 against 58.3 %.',
    recall: 90,
  },
  'ulbrecht-2014': {
    cite: 'Ulbrecht 2014, Diabetes Care',
    says: 'Insole shaped by pressure: fewer ulcers under the heads.',
    recall: 80,
  },
  'reiber-2002': {
    cite: 'Reiber 2002, JAMA',
    says: 'Therapeutic shoes gave no benefit at lower risk.',
    recall: 88,
  },
  'armstrong-1998': {
    cite: 'Armstrong 1998, J Foot Ankle Surg',
    says: 'Barefoot peaks of about 700 kPa and more went with ulcers; systems differ.',
    recall: 75,
  },
  'spink-2011': {
    cite: 'Spink 2011, BMJ',
    says: 'Podiatry with footwear, exercise and insoles: falls × 0.64.',
    recall: 92,
  },
  steadi: {
    cite: 'CDC STEADI',
    says: 'Timed up and go of 12 s or more: at risk of falling.',
    recall: 95,
  },
  'wfg-2022': {
    cite: 'World Falls Guidelines 2022, Age Ageing',
    says: 'Timed up and go over 15 s, gait at most 0.8 m/s.',
    recall: 80,
  },
  'tiedemann-2008': {
    cite: 'Tiedemann 2008; Buatois',
    says: 'Five chair stands in 12 s or more; 15 s and more with falls.',
    recall: 80,
  },
  vellas: {
    cite: 'Vellas',
    says: 'One-leg stance under 5 s goes with injurious falls.',
    recall: 80,
  },
  'wenger-1989': {
    cite: 'Wenger 1989, J Bone Joint Surg; Cochrane 2022',
    says: 'Corrective shoes or inserts for three years did not change a child’s arch.',
    recall: 85,
  },
  'rao-joseph-1992': {
    cite: 'Rao & Joseph 1992, J Bone Joint Surg',
    says: 'Children who go barefoot or in sandals have fewer flat feet.',
    recall: 85,
  },
  'owen-2010': {
    cite: 'Tyson & Kent 2013; Owen 2010',
    says: 'Brace in the shoe: tune heel height, shank 10–12° inclined.',
    recall: 75,
  },
  'backman-2011': {
    cite: 'Backman 2011, Am J Sports Med',
    says: 'Lunge of at most 36.5°: kneecap-tendon trouble in court players.',
    recall: 85,
  },
  'pope-1998': {
    cite: 'Pope 1998, Aust J Physiother',
    says: 'Stiff ankles (34°): about five times the ankle injuries in recruits.',
    recall: 75,
  },
  'redmond-2006': {
    cite: 'Redmond 2006, Clin Biomech',
    says: 'Six-item posture: 0 to +5 normal, +6 pronated, +10 highly; −1 supinated, −5 highly.',
    recall: 95,
  },
  'hagedorn-2013': {
    cite: 'Song 1996; Hagedorn 2013',
    says: 'Pressure excursion index: at most 7.3 pronated, over 21 supinated function (outer fifths).',
    recall: 65,
  },
  'buldt-2018': {
    cite: 'Buldt & Menz 2018, J Foot Ankle Res',
    says: 'Ill-fitting shoes are common and go with pain and deformity.',
    recall: 90,
  },
  'knapik-1995': {
    cite: 'Knapik 1995; Kirkham 2014',
    says: 'Blisters: shear times repetitions; a moderately damp skin rubs most.',
    recall: 82,
  },
} as const satisfies Record<string, Source>;
