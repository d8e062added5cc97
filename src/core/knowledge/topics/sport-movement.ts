import { SPORTS, servesSport } from '../../findings/sports';
import { SPORT_NAMES } from '../../sports/sport-names';
import { keysOf, mapTable } from '../../tables/keys-of';
import { OURS } from '../ours';
import { all, atLeast, has, not, type RuleText, topic } from '../rule';

const COURT = has('activities', ['court', 'indoor-court']);

/** What is asked along the sideways share of the hardest sport, per cent. The anchors are ours. */
const ALONG_SIDEWAYS = {
  forefootBase: [
    [10, 104],
    [40, 114],
  ],
  heelBase: [
    [10, 80],
    [40, 88],
  ],
  upper: [
    [10, 1.75],
    [40, 2.9],
  ],
  stackAtMost: [
    [10, 34],
    [40, 25],
  ],
} as const;

/** A shoe that was made for one sport serves its neighbours the better the more alike they move. */
const neighbours = keysOf(SPORTS).map((wanted): RuleText => {
  return {
    id: `sport-${wanted}`,
    finding: SPORT_NAMES[wanted],
    when: has('sports', wanted),
    wishes: [
      {
        feature: 'madeForSport',
        worth: { none: 0.5, ...mapTable(SPORTS, (_, madeFor) => servesSport(wanted, madeFor)) },
      },
    ],
    strength: 'slight',
    evidence: 'C',
    sources: ['practice'],
    because: 'A shoe made for this sport, or for one in which the foot moves much the same.',
  };
});

/** What the exact sport asks, by how it moves the foot and on what. */
export const sportMovement = topic('Sport, exactly', [
  ...neighbours,
  {
    id: 'sport-sideways',
    finding: 'moves sideways',
    when: atLeast('sidewaysShare', 0),
    wishes: [
      { feature: 'forefootBase', atLeast: { finding: 'sidewaysShare', along: ALONG_SIDEWAYS.forefootBase } },
      { feature: 'heelBase', atLeast: { finding: 'sidewaysShare', along: ALONG_SIDEWAYS.heelBase } },
      { feature: 'upperFirmness', atLeast: { finding: 'sidewaysShare', along: ALONG_SIDEWAYS.upper } },
      { feature: 'heelStack', atMost: { finding: 'sidewaysShare', along: ALONG_SIDEWAYS.stackAtMost } },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'The more a sport goes sideways, the broader, lower and firmer at the sides its shoe.',
  },
  {
    id: 'sport-sideways-guard',
    finding: 'moves much sideways',
    when: atLeast('sidewaysShare', OURS.muchSideways),
    wishes: [{ feature: 'lateralSupport', prefer: ['sidewall', 'flare'] }],
    strength: 'slight',
    evidence: 'C',
    sources: ['practice'],
    because: 'A side that stops the foot at the edge keeps it over the sole.',
  },
  {
    id: 'sport-jumps',
    finding: 'jumps much',
    when: atLeast('jumpShare', OURS.muchJumping),
    wishes: [
      { feature: 'forefootCushioning', atLeast: 3, atMost: 4.5 },
      { feature: 'heelCushioning', atLeast: 3, atMost: 4.25 },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'Each landing comes down on ball and heel: cushion both.',
  },
  {
    id: 'sport-turns',
    finding: 'turns much on the ball',
    when: atLeast('pivotShare', OURS.muchTurning),
    wishes: [
      { feature: 'tread', worth: { herringbone: 1, 'slip-rated': 0.5, road: 0.5, smooth: 0.4, lugs: 0.1 } },
      { feature: 'toeBoxShape', avoid: ['tapered'] },
    ],
    strength: 'slight',
    evidence: 'C',
    sources: ['olsen-2003', 'practice'],
    because: 'A sole that lets the ball turn spares the knee.',
    contestedBy: ['court-grass'],
  },
  {
    id: 'sport-toe-drag',
    finding: 'drags a toe',
    when: atLeast('toeDrag', OURS.muchToeDrag),
    wishes: [{ feature: 'toeDragZone', prefer: ['reinforced'] }],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'The toe that is drawn over the ground wears through first.',
  },
  {
    id: 'court-toe-drag',
    finding: 'court play: toe drag',
    when: COURT,
    wishes: [{ feature: 'toeDragZone', prefer: ['reinforced'] }],
    strength: 'slight',
    evidence: 'C',
    sources: ['practice'],
    because: 'Serving, lunging and braking draw the toe over the court.',
  },
  {
    id: 'court-toe-depth',
    finding: 'court play: depth over the toes',
    when: COURT,
    wishes: [{ feature: 'toeBoxDepth', atLeast: 2 }],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'Toes that are thrown forward need height as well as length, or the nails take it.',
  },
  {
    id: 'trail-side-guard',
    finding: 'trail: stones and roots at the sides',
    when: has('activities', 'trail'),
    wishes: [{ feature: 'sideGuard', prefer: ['guard'] }],
    strength: 'slight',
    evidence: 'C',
    sources: ['practice'],
    because: 'A tough strip along the side keeps stones off the foot and the upper whole.',
  },
  {
    id: 'soft-front',
    finding: 'nothing asks for a hard front',
    when: all(
      has('activities', [
        'road-running',
        'racing',
        'trail',
        'walking',
        'hiking',
        'lifting-upright',
        'lifting-low-bar',
        'gym',
        'standing-work',
        'dress',
        'everyday',
      ]),
      not(has('activities', ['court', 'indoor-court', 'protective-work'])),
    ),
    wishes: [{ feature: 'toeBoxMaterial', worth: { mesh: 1, stretch: 1, leather: 0.5, cap: 0 } }],
    strength: 'slight',
    evidence: 'C',
    sources: ['practice'],
    because: 'Toes that can move do their part of the balancing.',
  },
  {
    id: 'court-clay',
    finding: 'court play on clay',
    when: all(has('activities', 'court'), has('surfaces', 'clay')),
    wishes: [
      { feature: 'tread', worth: { herringbone: 1, road: 0.3, 'slip-rated': 0.3, lugs: 0.1, smooth: 0 } },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'A full herringbone grips loose clay and lets go in a slide.',
    contestedBy: ['court-grass'],
  },
  {
    id: 'court-grass',
    finding: 'play on grass',
    when: all(has('activities', 'court'), has('surfaces', 'grass')),
    wishes: [
      { feature: 'tread', worth: { lugs: 1, herringbone: 0.5, road: 0.2, 'slip-rated': 0.2, smooth: 0 } },
      { feature: 'lugDepth', atMost: 4 },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'Grass takes short lugs; a flat sole slips on it.',
    contestedBy: ['task-court-outdoors', 'court-not-too-grippy', 'sport-turns', 'court-clay', 'court-turf'],
  },
  {
    id: 'court-turf',
    finding: 'play on artificial turf',
    when: all(has('activities', 'court'), has('surfaces', 'turf')),
    wishes: [
      { feature: 'tread', worth: { herringbone: 1, lugs: 0.7, road: 0.3, 'slip-rated': 0.3, smooth: 0 } },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because: 'Sanded turf takes a fine pattern; long lugs hold the foot while the knee goes on.',
    contestedBy: ['court-grass'],
  },
]);
