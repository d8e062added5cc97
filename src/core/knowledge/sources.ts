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
    cite: 'Ottaviani 1995, Am J Sports Med',
    says: 'High tops resist inversion by 20–29 % in the laboratory.',
    recall: 70,
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
  'kerrigan-1998': {
    cite: 'Kerrigan 1998, 2001, Lancet',
    says: 'Heels of 5–6 cm: knee varus torque +22 to +26 %.',
    recall: 82,
  },
  'reichenbach-2020': {
    cite: 'Reichenbach 2020, JAMA',
    says: 'Convex-pod shoe against sham, 24 weeks: knee pain −1.3 of 10.',
    recall: 92,
  },
  'hinman-2016': {
    cite: 'Hinman 2016, Ann Intern Med',
    says: 'Variable-stiffness shoe: no difference in knee pain at 6 months.',
    recall: 85,
  },
  'collins-2008': {
    cite: 'Collins 2008, BMJ',
    says: 'Front-of-knee pain: prefabricated orthosis better than flat insert at 6 weeks, not better than physiotherapy.',
    recall: 80,
  },
  'esculier-2018': {
    cite: 'Esculier 2018, Br J Sports Med',
    says: 'Front-of-knee pain in runners: education alone did as well as education with gait retraining.',
    recall: 85,
  },
  'lenhart-2014': {
    cite: 'Lenhart 2014, Med Sci Sports Exerc',
    says: 'Step rate +10 %: peak force behind the kneecap −14 %.',
    recall: 85,
  },
  'whittaker-2018': {
    cite: 'Whittaker 2018, Br J Sports Med',
    says: 'Heel pain: orthoses a small benefit at 7–12 weeks.',
    recall: 78,
  },
  'vicenzino-2015': {
    cite: 'Vicenzino 2015, PLoS One',
    says: 'Heel pain: contoured sandal better than a flat one at 12 weeks.',
    recall: 65,
  },
  'munteanu-2015': {
    cite: 'Munteanu 2015, Br J Sports Med',
    says: 'Mid-portion heel cord pain: custom orthosis no better than sham.',
    recall: 85,
  },
  'malisoux-2020-light': {
    cite: 'Malisoux 2020, Am J Sports Med',
    says: 'Hard soles: lighter runners HR 1.80, heavier 1.23 (not significant).',
    recall: 88,
  },
  'theisen-2014': {
    cite: 'Theisen 2014, Br J Sports Med',
    says: 'Soft against hard midsole: no significant difference (HR 0.92).',
    recall: 88,
  },
  'fuller-2017': {
    cite: 'Fuller 2017, Am J Sports Med',
    says: 'Minimal shoes: risk rises with body mass over 71.4 kg, about double at 85.7 kg.',
    recall: 82,
  },
  'ryan-2014': {
    cite: 'Ryan 2014, Br J Sports Med',
    says: 'Partial-minimal shoes: most injuries; full minimal: more calf and shin pain.',
    recall: 82,
  },
  'ryan-2011': {
    cite: 'Ryan 2011, Br J Sports Med',
    says: 'Motion-control shoes gave most injuries in women, whatever their feet.',
    recall: 78,
  },
  'willems-2021': {
    cite: 'Willems 2021',
    says: 'Motion control: fewer pronation-related injuries (HR 0.41).',
    recall: 75,
  },
  'roy-2006': {
    cite: 'Roy & Stefanyshyn 2006, Med Sci Sports Exerc',
    says: 'Stiffer forefoot: economy about −1 % at the individual optimum, worse beyond; calf load a step up.',
    recall: 75,
  },
  'kulmala-2018': {
    cite: 'Kulmala 2018, Sci Rep',
    says: 'Maximal shoe at 14.5 km/h: impact peak +10.7 %, loading rate +12.3 %.',
    recall: 82,
  },
  'kulmala-2013': {
    cite: 'Kulmala 2013; Almonroeder 2013',
    says: 'Forefoot strike: heel cord impulse +11 to +19 %, force behind the kneecap about −16 %.',
    recall: 80,
  },
  'edwards-2009': {
    cite: 'Edwards 2009, Med Sci Sports Exerc',
    says: 'Stride −10 %: probability of a tibial fatigue fracture −3 to −6 %.',
    recall: 78,
  },
  'frederick-1984': {
    cite: 'Frederick 1984; Hoogkamer 2016',
    says: '100 g a shoe: oxygen +1 %.',
    recall: 90,
  },
  'bonanno-2018': {
    cite: 'Bonanno 2018, Br J Sports Med',
    says: 'Prefabricated orthoses in recruits: injuries × 0.66.',
    recall: 70,
  },
  'milgrom-1992': {
    cite: 'Milgrom 1992, Foot Ankle Int',
    says: 'Cushioned sports shoe against boot: fewer foot and metatarsal injuries, the same in all.',
    recall: 78,
  },
  'rome-2005': {
    cite: 'Rome 2005, Cochrane; Milgrom 1985',
    says: 'Insoles in recruits: fewer stress fractures, low quality.',
    recall: 72,
  },
  'torkki-2001': {
    cite: 'Torkki 2001, JAMA',
    says: 'Bunion: orthosis eased pain at 6 months, not at 12.',
    recall: 85,
  },
  'hsi-2005': {
    cite: 'Hsi 2005; Kang 2006; Mannikko 2017',
    says: 'Pad 5–10 mm behind the heads: pressure −12 to −60 %, less pain.',
    recall: 70,
  },
  'coughlin-2003': {
    cite: 'Coughlin & Shurnas 2003, J Bone Joint Surg Am',
    says: 'Stiff big toe graded by range: 30–40, 10–30, at most 10°.',
    recall: 88,
  },
  'nawoczenski-1999': {
    cite: 'Nawoczenski 1999, J Bone Joint Surg Am',
    says: 'Walking uses about 42° at the big-toe joint.',
    recall: 85,
  },
  'mueller-1997': {
    cite: 'Mueller 1997, Arch Phys Med Rehabil',
    says: 'Part of the foot amputated: full-length shoe, total-contact insert and rigid rocker.',
    recall: 78,
  },
  'barrett-1993': {
    cite: 'Barrett 1993, Am J Sports Med',
    says: 'High and low tops: no difference in sprains (n = 622).',
    recall: 82,
  },
  'olsen-2003': {
    cite: 'Olsen 2003; Pasanen 2008',
    says: 'Too much grip raises knee and ankle injuries on court.',
    recall: 75,
  },
  'lysdal-2021': {
    cite: 'Lysdal 2021, Br J Sports Med',
    says: 'Low-friction outer edge: fewer severe sprains, all sprains unchanged.',
    recall: 60,
  },
  'hennessy-2012': {
    cite: 'Chalmers 2000; Hennessy 2012, Arthritis Care Res',
    says: 'Rheumatoid foot: semi-rigid orthosis in a supportive shoe lowers pain.',
    recall: 78,
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
  'wiegerinck-2016': {
    cite: 'Wiegerinck 2016',
    says: 'Growth-plate heel pain: raise, physiotherapy and waiting alike at 3 months.',
    recall: 78,
  },
  'owen-2010': {
    cite: 'Tyson & Kent 2013; Owen 2010',
    says: 'Brace in the shoe: tune heel height, shank 10–12° inclined.',
    recall: 75,
  },
  'verma-2011': {
    cite: 'Verma 2011; Bell 2019',
    says: 'Slip-resistant shoes in kitchens: slips × 0.46.',
    recall: 82,
  },
  'jones-1984': {
    cite: 'Jones 1984; Böhm & Hösl 2010',
    says: '100 g a foot costs 0.7–1 %; a stiff shaft moves work to the knee.',
    recall: 78,
  },
  'snow-1992': {
    cite: 'Snow 1992',
    says: 'Forefoot pressure +22, +57, +76 % at heels of 2, 5, 8 cm.',
    recall: 70,
  },
  'csapo-2010': {
    cite: 'Csapo 2010; Cronin 2012',
    says: 'Long wear of heels shortens the calf: lower them step by step.',
    recall: 70,
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
  'newman-2013': {
    cite: 'Brody 1982; Newman 2013',
    says: 'Navicular drop over 10 mm goes with inner shin pain.',
    recall: 85,
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
  'hagen-2009': {
    cite: 'Hagen & Hennig 2009, J Sports Sci',
    says: 'High, firm lacing lowers loading rate and heel pressure.',
    recall: 83,
  },
  'curtis-2021': {
    cite: 'Curtis 2021; Ridge 2019',
    says: 'Daily walking in minimal shoes: toe flexors +57 % in six months.',
    recall: 82,
  },
  'malisoux-2015': {
    cite: 'Malisoux 2015, Scand J Med Sci Sports',
    says: 'Two pairs in turn: fewer injuries (HR 0.61, observational).',
    recall: 95,
  },
  practice: {
    cite: 'Common practice',
    says: 'Practitioners work this way; there is no source to name.',
    recall: 100,
  },
  house: {
    cite: 'This clinic',
    says: 'The clinic’s own rule.',
    recall: 100,
  },
} as const satisfies Record<string, Source>;

/** Marks that stand for no publication. */
export const isPublished = (id: string): boolean => id !== 'practice' && id !== 'house';

export type SourceId = keyof typeof SOURCES;
export const isSourceId = (id: string): id is SourceId => Object.hasOwn(SOURCES, id);

const known = (id: string): Source | null => (isSourceId(id) ? SOURCES[id] : null);

/** Our confidence, in per cent, in the weakest publication that a rule cites; null when it cites none. */
export function recallOf(sources: readonly string[]): number | null {
  const published = sources.filter(isPublished).flatMap((id) => known(id) ?? []);
  return published.length === 0 ? null : Math.min(...published.map((source) => source.recall));
}

/** `Rabusin 2021, Br J Sports Med (from memory)`; common practice names no source. */
export const sourceInWords = (id: string): string => {
  const source = known(id);
  if (!source) return id;
  return isPublished(id) ? `${source.cite} (${recallMark(source.recall)})` : source.cite;
};
