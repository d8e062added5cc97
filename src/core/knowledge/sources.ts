/** A published source, recalled and not read from the paper. `recall` is our confidence in per cent. */
export interface Source {
  cite: string;
  says: string;
  recall: number;
}

/** Below 60 % a value may only be a clinic setting; 60–84 % is marked “check”. */
export const recallMark = (recall: number): string => (recall >= 85 ? 'from memory' : 'from memory, check');

export const SOURCES = {
  'knapik-2010': {
    cite: 'Knapik 2009 JSCR; 2010 AJSM',
    says: 'Assigning shoes by foot type did not lower injuries in three military trials.',
    recall: 95,
  },
  'relph-2022': {
    cite: 'Relph 2022, Cochrane CD013368',
    says: 'Prescribing by foot type: little or no difference (RR about 1.03).',
    recall: 78,
  },
  'malisoux-2016-mc': {
    cite: 'Malisoux 2016, Br J Sports Med',
    says: 'Motion control lowered injury, most with pronated feet (HR 0.34).',
    recall: 88,
  },
  'malisoux-2020': {
    cite: 'Malisoux 2020, Am J Sports Med',
    says: 'Harder soles: more injuries, more so for lighter runners.',
    recall: 88,
  },
  'malisoux-2016-drop': {
    cite: 'Malisoux 2016, Am J Sports Med',
    says: 'Drop 10/6/0 mm: no overall difference; low drop safer in occasional, worse in regular runners.',
    recall: 90,
  },
  'nielsen-2014': {
    cite: 'Nielsen 2014, Br J Sports Med',
    says: 'Pronated novices in neutral shoes were not injured more.',
    recall: 92,
  },
  'nigg-2015': {
    cite: 'Nigg 2015, Br J Sports Med',
    says: 'Preferred movement path and comfort filter.',
    recall: 80,
  },
  'rabusin-2021': {
    cite: 'Rabusin 2021, Br J Sports Med',
    says: '12 mm heel lift beat eccentric exercise at 12 weeks (VISA-A +9.6).',
    recall: 90,
  },
  'sobhani-2015': {
    cite: 'Sobhani 2015, J Sci Med Sport',
    says: 'Rocker shoe: ankle plantarflexion moment −11 to −13 %.',
    recall: 70,
  },
  'chimenti-2024': {
    cite: 'Chimenti 2024, JOSPT guideline',
    says: 'Insertional pain: heel raise, no hard counter edge.',
    recall: 72,
  },
  'kulig-2009': {
    cite: 'Kulig 2009, Phys Ther',
    says: 'Orthosis with exercise helps tibialis posterior dysfunction.',
    recall: 78,
  },
  'bonacci-2014': {
    cite: 'Bonacci 2014, Br J Sports Med',
    says: 'Minimal shoe or higher cadence lowers patellofemoral stress.',
    recall: 78,
  },
  'heiderscheit-2011': {
    cite: 'Heiderscheit 2011, Med Sci Sports Exerc',
    says: 'Step rate +5 / +10 %: knee energy −20 / −34 %.',
    recall: 88,
  },
  'paterson-2021': {
    cite: 'Paterson 2021, Ann Intern Med',
    says: 'Medial knee arthritis: stable supportive beat flat flexible for walking pain (1.1 of 10).',
    recall: 90,
  },
  'parkes-2013': {
    cite: 'Parkes 2013, JAMA',
    says: 'Lateral wedges do not help knee arthritis pain.',
    recall: 88,
  },
  'shakoor-2010': {
    cite: 'Shakoor 2010; Trombini-Souza 2015',
    says: 'Flat flexible shoes lower the knee adduction moment.',
    recall: 72,
  },
  'martin-2014': {
    cite: 'Martin 2014, JOSPT; Morrissey 2021',
    says: 'Heel pain: supportive shoe, low heel raise, avoid barefoot on hard floors.',
    recall: 72,
  },
  'fong-2012': {
    cite: 'Fong 2012, Clin Biomech',
    says: 'Rocker shoe with orthosis lowered heel pain at once.',
    recall: 72,
  },
  'bonanno-2017': {
    cite: 'Bonanno 2017, Br J Sports Med',
    says: 'Shock-absorbing insoles alone did not lower injuries.',
    recall: 80,
  },
  'menz-2016-hv': {
    cite: 'Menz 2016, Arthritis Care Res (cohort)',
    says: 'Narrow toe boxes early in life go with later hallux valgus.',
    recall: 72,
  },
  'menz-2016-mtp': {
    cite: 'Menz 2016, Arthritis Care Res',
    says: 'First-joint arthritis: rocker shoe equals prefabricated orthosis at 12 weeks.',
    recall: 80,
  },
  'munteanu-2021': {
    cite: 'Munteanu 2021, Osteoarthr Cartil',
    says: 'Shoe-stiffening insert lowered first-joint pain.',
    recall: 82,
  },
  'rao-2009': {
    cite: 'Rao 2009',
    says: 'Stiff full-length insert: small gain in midfoot arthritis.',
    recall: 68,
  },
  'van-schie-2000': {
    cite: 'Van Schie 2000, Foot Ankle Int',
    says: 'Rocker: forefoot pressure −20 to −40 %; apex 55–60 % for the heads.',
    recall: 82,
  },
  'chapman-2013': {
    cite: 'Chapman 2013, Gait Posture',
    says: 'Apex about 52 %, rocker angle 20°.',
    recall: 80,
  },
  'bennett-1995': {
    cite: 'Bennett 1995; Matthews 2019',
    says: 'Neuroma: wide toe box, low heel and pad help in staged care.',
    recall: 72,
  },
  'menz-morris-2005': {
    cite: 'Menz & Morris 2005, Gerontology',
    says: 'Shoes narrower than the foot go with corns and toe deformity.',
    recall: 82,
  },
  'fransen-1997': {
    cite: 'Fransen & Edmonds 1997',
    says: 'Rheumatoid foot: extra-depth shoes lower pain.',
    recall: 78,
  },
  'rome-2013': {
    cite: 'Rome 2013',
    says: 'Gout: cushioned, wide, well-held shoes lower foot pain at 8 weeks.',
    recall: 75,
  },
  'ottaviani-1995': {
    cite: 'Ottaviani 1995; Barrett 1993, Am J Sports Med',
    says: 'High tops resist inversion in the laboratory; no difference in sprains.',
    recall: 75,
  },
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
  'james-2016': {
    cite: 'James 2016, Br J Sports Med',
    says: 'Growth-plate heel pain: heel raise at least as good as orthosis at one month.',
    recall: 80,
  },
  'campbell-2018': {
    cite: 'Campbell 2018; Defrin 2005',
    says: 'Lifts up to about 10 mm inside, beyond that outside.',
    recall: 72,
  },
  'cockayne-2021': {
    cite: 'Cockayne 2021 (SSHeW)',
    says: 'Slip-resistant shoes: slips −37 % at work.',
    recall: 80,
  },
  'hemler-2019': {
    cite: 'Hemler & Beschorner 2019–2020',
    says: 'Slips climb once a smooth patch passes about 800 mm².',
    recall: 65,
  },
  'sato-2012': {
    cite: 'Sato 2012; Legg 2017',
    says: 'A raised heel lowers trunk lean in the squat.',
    recall: 78,
  },
  'speed-2018': {
    cite: 'Waters & Dick 2015; Speed 2018',
    says: 'Standing work: softer shoes or mats lower discomfort a little.',
    recall: 65,
  },
  'ridge-2013': {
    cite: 'Ridge 2013, Med Sci Sports Exerc',
    says: 'Ten weeks of minimal shoes: bone marrow oedema in 10 of 19.',
    recall: 82,
  },
  'tenforde-2023': {
    cite: 'Tenforde 2023, Sports Med',
    says: 'Navicular stress injuries after stiff-plated shoes: introduce with care.',
    recall: 75,
  },
  'boone-2013': {
    cite: 'Boone 2013',
    says: 'Alignment changes of 3–6° measurably change socket moments.',
    recall: 75,
  },
} as const satisfies Record<string, Source>;

export type SourceId = keyof typeof SOURCES;
export const isSourceId = (id: string): id is SourceId => Object.hasOwn(SOURCES, id);
