import type { Source } from '../source';

/** Running, sport, work, and trials of choosing shoes. Recalled, not read from the papers. */
export const RUNNING_AND_WORK = {
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
  'lenhart-2014': {
    cite: 'Lenhart 2014, Med Sci Sports Exerc',
    says: 'Step rate +10 %: peak force behind the kneecap −14 %.',
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
  'olsen-2003': {
    cite: 'Olsen 2003; Pasanen 2008',
    says: 'Too much grip raises knee and ankle injuries on court.',
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
} as const satisfies Record<string, Source>;
