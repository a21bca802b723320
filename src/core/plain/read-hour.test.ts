import { expect, test } from 'vitest';
import { readHour } from './read-hour';

test.each([
  ['19:30', '19:30'],
  ['7:30 PM', '19:30'],
  ['7:30pm', '19:30'],
  ['7 p.m.', '19:00'],
  ['7pm', '19:00'],
  ['12 AM', '00:00'],
  ['12:15 pm', '12:15'],
  ['19.30', '19:30'],
  ['19h30', '19:30'],
  ['1930', '19:30'],
  ['730 pm', '19:30'],
  ['8', '08:00'],
  ['0:05', '00:05'],
  ['noon', '12:00'],
  ['19:30 Uhr', '19:30'],
  ['24:00', null],
  ['13 pm', null],
  ['0 am', null],
  ['7:75', null],
  ['19:3', null],
  ['half past seven', null],
  ['', null],
])('%s', (text, hour) => {
  expect(readHour(text)).toBe(hour);
});
