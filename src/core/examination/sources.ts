import type { Source } from '../sources/source';
import { recallMark } from '../sources/source';

/** Published sources of the examination's formulas and bands, recalled and not read from the papers. */
export const EXAMINATION_SOURCES = {
  'cavanagh-1987': {
    cite: 'Cavanagh & Rodgers 1987, J Biomech 20:547–551',
    says: 'Arch index and its bands: quartiles of 107 feet.',
    recall: 95,
  },
  'forriol-1990': {
    cite: 'Forriol & Pascual 1990, Foot Ankle 11:101–104',
    says: 'Bands of the Chippaux–Smirak index and of Clarke’s angle.',
    recall: 80,
  },
  'staheli-1987': {
    cite: 'Staheli, Chew & Corbett 1987, J Bone Joint Surg Am 69:426–428',
    says: 'Mean ± 2 SD of the index by age; 0.30–1.00 from mid-childhood on.',
    recall: 80,
  },
  'butler-2008': {
    cite: 'Butler 2008, J Am Podiatr Med Assoc 98:102–106',
    says: 'Arch height index of 100 runners: 0.340 standing, 0.363 seated, SD 0.030.',
    recall: 85,
  },
  'zifchock-2017': {
    cite: 'Zifchock 2017, J Am Podiatr Med Assoc 107:119–123',
    says: 'Arch height flexibility, mm/kN. Its classes are not recalled.',
    recall: 80,
  },
  'mcpoil-2009': {
    cite: 'McPoil 2009, J Foot Ankle Res 2:6',
    says: 'Foot mobility magnitude; no diagnostic bands.',
    recall: 95,
  },
  'brody-1982': {
    cite: 'Brody 1982, Orthop Clin North Am 13:541–558',
    says: 'Navicular drop: about 10 mm normal, over 15 mm abnormal; over 10 mm is commonly called large.',
    recall: 88,
  },
  'picciano-1993': {
    cite: 'Picciano 1993, JOSPT 18:553–558',
    says: 'Navicular drop between raters: SEM about 2.7 mm.',
    recall: 65,
  },
  'redmond-2006': {
    cite: 'Redmond 2006, Clin Biomech 21:89–98',
    says: 'Six-item foot posture and its adult bands.',
    recall: 95,
  },
  'powden-2015': {
    cite: 'Powden 2015, Man Ther 20:524–532',
    says: 'Lunge between raters: smallest real change 1.9 cm, 4.7°.',
    recall: 80,
  },
  'bennell-1998': {
    cite: 'Bennell 1998, Aust J Physiother 44:175–180',
    says: 'Weight-bearing lunge. Under 9–10 cm or 35–38° is commonly flagged; there is no agreed cut.',
    recall: 60,
  },
  'hoch-2011': {
    cite: 'Hoch & McKeon 2011, Man Ther 16:516–519',
    says: 'Most healthy adults are within about 1.5 cm from side to side.',
    recall: 65,
  },
  'coughlin-2003': {
    cite: 'Coughlin & Shurnas 2003, J Bone Joint Surg Am 85:2072–2088',
    says: 'Grades of a stiff big toe by range; its bands overlap.',
    recall: 88,
  },
  steadi: { cite: 'CDC STEADI', says: 'Timed up and go of 12 s or more: at risk of falling.', recall: 95 },
  'shumway-2000': {
    cite: 'Shumway-Cook 2000, Phys Ther 80:896–903',
    says: 'Timed up and go of 13.5 s or more.',
    recall: 95,
  },
  'montero-2022': {
    cite: 'Montero-Odasso 2022, Age Ageing 51:afac205',
    says: 'World falls guidelines: timed up and go over 15 s.',
    recall: 80,
  },
  'tiedemann-2008': {
    cite: 'Tiedemann 2008, Age Ageing 37:430–435',
    says: 'Five chair stands in 12 s or more.',
    recall: 80,
  },
  'vellas-1997': {
    cite: 'Vellas 1997, J Am Geriatr Soc',
    says: 'Standing on one leg for less than 5 s.',
    recall: 80,
  },
  'beighton-1973': {
    cite: 'Beighton 1973, Ann Rheum Dis 32:413; 2017 criteria of the hypermobile type',
    says: 'Nine signs; 5 or more in adults, 6 in children, 4 over 50 years.',
    recall: 85,
  },
  'rohner-2007': {
    cite: 'Rohner-Spengler 2007, JOSPT 37:199–205; Mawdsley 2000',
    says: 'Figure-of-eight girth: a difference beyond about 10 mm is real.',
    recall: 75,
  },
  'isl-2020': {
    cite: 'International Society of Lymphology 2020, Lymphology 53:3–19',
    says: 'Volume difference: minimal over 5 to under 20 %, moderate 20–40 %, severe over 40 %.',
    recall: 82,
  },
  'casley-1994': {
    cite: 'Casley-Smith 1994',
    says: 'Limb volume by truncated cones.',
    recall: 88,
  },
  'brodovicz-2009': {
    cite: 'Brodovicz 2009, Clin Med Res 7:21–31',
    says: 'Pitting grades by depth and time: a teaching convention in several versions.',
    recall: 75,
  },
  'song-1996': {
    cite: 'Song 1996, JAPMA 86:16–23; Hagedorn 2013',
    says: 'Centre-of-pressure excursion index; outer fifths ≤ 7.3 and > 21.0 in one cohort.',
    recall: 65,
  },
  'areblad-1990': {
    cite: 'Areblad 1990, J Biomech 23:933–940',
    says: 'A camera off the line of progression shows a tilt that is not there.',
    recall: 70,
  },
  'iwgdf-2023': {
    cite: 'Schaper 2024, Diabetes Metab Res Rev 40:e3657 (IWGDF)',
    says: '10 g monofilament: absent where 2 of 3 answers at a site are wrong.',
    recall: 95,
  },
  'ansur-2012': {
    cite: 'Gordon 2014, US military survey of 2012 (ANSUR II)',
    says: 'Foot measures of about 4082 men and 1986 women in service; not everyone’s norm.',
    recall: 80,
  },
  'iso-20685': {
    cite: 'ISO 20685-1:2018',
    says: 'Scan against tape: mean difference on the foot at most 2 mm.',
    recall: 78,
  },
  'wenger-1983': {
    cite: 'Wenger 1983, Foot Ankle 3:207–210',
    says: 'Growth of children’s feet by age.',
    recall: 60,
  },
  'lavery-2007': {
    cite: 'Lavery 2004, Diabetes Care 27:2642–2647; 2007, Diabetes Care 30:14–20',
    says: 'Sites more than 2.2 °C (4 °F) apart: rest the foot and have it seen; fewer ulcers in high-risk feet.',
    recall: 85,
  },
  'armstrong-2007': {
    cite: 'Armstrong 2007, Am J Med 120:1042–1046',
    says: 'The same line in another trial.',
    recall: 85,
  },
  'stiell-1992': {
    cite: 'Stiell 1992, Ann Emerg Med; 1993, JAMA',
    says: 'Ankle and midfoot rules for an X-ray after injury.',
    recall: 90,
  },
  'heiderscheit-2011': {
    cite: 'Heiderscheit 2011, Med Sci Sports Exerc 43:296–302',
    says: 'Step rate +5 % and +10 %: about 20 % and 34 % less energy absorbed at the knee.',
    recall: 88,
  },
} as const satisfies Record<string, Source>;

export type ExaminationSource = keyof typeof EXAMINATION_SOURCES;

/** How a value is vouched for: a published source, or common practice. */
export type Mark = ExaminationSource | 'common practice';

/** Source and trust in one line: `Redmond 2006, … (from memory)`. */
export function markInWords(mark: Mark): string {
  if (mark === 'common practice') return 'common practice';
  const source: Source = EXAMINATION_SOURCES[mark];
  return `${source.cite} (${recallMark(source.recall)})`;
}
