import { expect, it } from 'vitest';
import { readTime } from './read-time';

it.each([
  ['8:30', '08:30'],
  ['0830', '08:30'],
  ['830', '08:30'],
  ['17.05', '17:05'],
  ['17h05', '17:05'],
  ['17', '17:00'],
  ['5 pm', '17:00'],
  ['12:15 am', '00:15'],
  ['12 p.m.', '12:00'],
  [' 00:00 ', '00:00'],
])('%s is %s', (typed, time) => {
  expect(readTime(typed)).toBe(time);
});

it.each(['', '24:00', '12:60', '13 pm', '0 am', 'noon', '8:3', '12:300', '-1'])('%s is no time', (typed) => {
  expect(readTime(typed)).toBeNull();
});
