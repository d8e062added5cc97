import type { FindingId } from '../findings/findings';
import { all, any, type Condition, has, is } from './rule';

/**
 * What one finding makes a practitioner look at next, whatever a shoe would make of it: it stands before all that is ranked
 * by how much it could change the specification. Common practice.
 */
export interface FollowUp {
  when: Condition;
  look: readonly FindingId[];
  because: string;
}

const UNDER_LOAD = any(has('activities', ['road-running', 'racing', 'trail']), is('loadRise', 'yes'));

export const FOLLOW_UPS: readonly FollowUp[] = [
  {
    when: is('nightCramp', 'yes'),
    look: ['heelsLiftEarly', 'lungeDistance'],
    because: 'cramps at night: is the calf tight?',
  },
  {
    when: all(is('arch', 'high'), is('archMobility', 'rigid'), UNDER_LOAD),
    look: ['boneTender', 'hopTest'],
    because: 'a rigid high arch under load: is a bone sore?',
  },
  {
    when: all(is('arch', 'low'), has('rubbedAt', ['toe-tips', 'between-toes', 'inner-edge'])),
    look: ['pain', 'archFlattening'],
    because: 'a low arch with crowded toes: do the inner ankle or the heel cord hurt, has it flattened?',
  },
  {
    when: is('landingSound', ['slap', 'scrape']),
    look: ['footDrop', 'lungeDistance'],
    because: 'a foot slaps or scrapes: does it drop, is the ankle stiff?',
  },
  {
    when: all(is('camber', ['left', 'right']), is('acheOneSided', 'yes')),
    look: ['legLength'],
    because:
      'aches on one side, on a road that always slopes the same way: change sides for two weeks before the legs are blamed',
  },
  {
    when: has('laceHabits', 'own-lacing'),
    look: ['rubbedAt', 'dorsumHeight'],
    because: 'a lacing of their own: where did it press, or slip?',
  },
  {
    when: is('squatBetterWith', ['ten', 'twenty']),
    look: ['lungeDistance'],
    because: 'squats better on a heel: does the ankle bend little?',
  },
];
