import type { Source } from '../source';

/** Pain, joints and tendons: what shoes, inserts and lifts did. Recalled, not read from the papers. */
export const PAIN_AND_JOINTS = {
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
  'tenforde-2023': {
    cite: 'Tenforde 2023, Sports Med',
    says: 'Navicular stress injuries after stiff-plated shoes: introduce with care.',
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
  'wiegerinck-2016': {
    cite: 'Wiegerinck 2016',
    says: 'Growth-plate heel pain: raise, physiotherapy and waiting alike at 3 months.',
    recall: 78,
  },
  'newman-2013': {
    cite: 'Brody 1982; Newman 2013',
    says: 'Navicular drop over 10 mm goes with inner shin pain.',
    recall: 85,
  },
} as const satisfies Record<string, Source>;
