import { OURS } from '../ours';
import { all, any, atLeast, has, is, topic } from '../rule';

const HIKES = has('activities', 'hiking');

/** Trips on foot, by their days, their load, their ground and their descents. */
export const hikes = topic('Hikes', [
  {
    id: 'hike-rough-or-loaded',
    finding: 'a hike on rough ground, or with a load',
    when: all(HIKES, any(is('tripGround', 'rough'), atLeast('tripLoad', OURS.heavyPack))),
    wishes: [
      { feature: 'forefootStiffness', atLeast: 2.75 },
      { feature: 'torsionalStiffness', atLeast: 3.5 },
      { feature: 'toeProtection', prefer: ['bumper', 'rock-plate'] },
      { feature: 'sideGuard', prefer: ['guard'], strength: 'slight' },
      { feature: 'heelCounter', atLeast: 3.5, strength: 'slight' },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because:
      'Stones and a pack want more shoe: a stiffer sole, a sole that does not twist, toes behind a bumper.',
    contestedBy: ['hike-days-on-easy-paths'],
  },
  {
    id: 'hike-days-on-easy-paths',
    finding: 'several days on easy paths',
    when: all(HIKES, is('tripGround', 'easy'), atLeast('tripDays', OURS.severalDays)),
    wishes: [
      { feature: 'use', worth: { trail: 1, 'road-running': 0.7, walking: 0.6, hiking: 0.4 } },
      { feature: 'forefootStiffness', atMost: 3.25, strength: 'slight' },
      { feature: 'mass', atMost: 380, strength: 'slight' },
      { feature: 'tread', avoid: ['smooth'] },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice', 'jones-1984'],
    because:
      'Over days a light trail shoe serves best, a worn-in trainer next; a stiff hiking shoe tires and wants to be one’s own and worn in; smooth soles come last.',
    contestedBy: ['hike-rough-or-loaded'],
  },
  {
    id: 'hike-long-descents',
    finding: 'long descents',
    when: all(HIKES, is('tripDescents', 'long')),
    wishes: [
      { feature: 'toeRoom', atLeast: 13, atMost: 17 },
      {
        feature: 'closure',
        worth: {
          'laces-extra-eyelet': 1,
          laces: 0.8,
          dial: 0.7,
          'hook-and-loop': 0.5,
          buckle: 0.4,
          zip: 0.3,
          elastic: 0.2,
          'slip-on': 0,
        },
      },
      { feature: 'overlaysReachSole', atLeast: 2.25, strength: 'slight' },
    ],
    strength: 'moderate',
    evidence: 'C',
    sources: ['practice'],
    because:
      'Downhill the foot slides forward: room before the toes, and a closure that holds the instep back.',
  },
]);
