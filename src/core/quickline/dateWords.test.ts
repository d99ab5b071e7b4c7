import { aboutAge } from './aboutAge';
import { dateWords } from './dateWords';

const TODAY = '2026-11-25'; // a Wednesday

describe('a day that has been', () => {
  it.each([
    ['mon', '2026-11-23'],
    ['wed', '2026-11-25'],
    ['fri', '2026-11-20'],
    ['last friday', '2026-11-20'],
    ['yesterday / 6 jar', '2026-11-24'],
    ['3 weeks ago', '2026-11-04'],
    ['25 dec', '2026-12-25'],
    ['20 dec 2025', '2025-12-20'],
    ['on 5 nov', '2026-11-05'],
    ['the 5th of november', '2026-11-05'],
    ['the twenty first of november', '2026-11-21'],
    ['december the third', '2026-12-03'],
    ['december third 2025', '2025-12-03'],
    ['2026-11-03', '2026-11-03'],
    ['12.11.26', '2026-11-12'],
    ['last week', '2026-11-15'],
    ['last month', '2026-10-01'],
    ['last year', '2025-01-01'],
  ])('“%s” is %s', (text, date) => {
    expect(dateWords(` ${text}`, TODAY, 'past')).toMatchObject({ date });
  });
});

describe('a day to come', () => {
  it.each([
    ['3 dec', '2026-12-03'],
    ['3/12', '2026-12-03'],
    ['fri', '2026-11-27'],
    ['in 6 days', '2026-12-01'],
    ['12/3/27', '2027-03-12'],
    ['20 nov', '2026-11-20'],
    ['1 may', '2027-05-01'],
    ['29 feb 2028', '2028-02-29'],
  ])('“%s” is %s', (text, date) => {
    expect(dateWords(text, TODAY, 'ahead')).toMatchObject({ date });
  });
});

it('reads figures by the household’s order, and the earlier where both can be', () => {
  expect(dateWords('12/25', TODAY, 'ahead', 'mdy')).toMatchObject({ date: '2026-12-25' });
  expect(dateWords('03/27', TODAY, 'ahead', 'mdy')).toMatchObject({ date: '2027-03-01' });
  expect(dateWords('03/27', TODAY, 'ahead', 'dmy')).toMatchObject({ date: '2027-03-01' });
  expect(dateWords('29 feb', '2027-03-10', 'past')).toMatchObject({ missing: true });
});

describe('an age that somebody remembers is the earliest day it can mean', () => {
  it.each([
    ['last winter', '2026-11-25', '2025-12-01'],
    ['last winter', '2027-01-10', '2025-12-01'],
    ['last summer', '2026-11-25', '2025-06-01'],
    ['summer', '2026-11-25', '2026-06-01'],
    ['2 or 3 months', '2026-11-25', '2026-08-25'],
    ['two to three weeks', '2026-11-25', '2026-11-04'],
    ['last week', '2026-11-25', '2026-11-15'],
    ['last year', '2026-11-25', '2025-01-01'],
    ['last christmas', '2026-12-27', '2025-12-24'],
    ['christmas', '2026-12-27', '2026-12-24'],
  ])('“%s” on %s is %s', (text, today, on) => {
    expect(aboutAge(text, today)).toMatchObject({ on, length: text.length });
  });
});

it.each([
  ['summer', '2025-12-01'],
  ['last winter', '2025-06-01'],
  ['spring', '2026-09-01'],
])('where Christmas is in summer, “%s” is %s', (text, on) => {
  expect(aboutAge(text, '2026-11-25', 'south')).toMatchObject({ on });
});

it('takes no more of the text than the date', () => {
  const text = ' yesterday > top shelf';
  expect(dateWords(text, TODAY, 'past')).toEqual({ date: '2026-11-24', length: ' yesterday'.length });
});

it('tells a date that does not exist from no date at all', () => {
  for (const text of ['31 feb', '30.2.2027', '29/2/27', '32 dec']) {
    expect([text, dateWords(text, TODAY, 'ahead')]).toEqual([
      text,
      expect.objectContaining({ missing: true }),
    ]);
  }
  for (const text of ['', '600 g', '/ 3', '@ 9.60', 'flat', '14 thighs']) {
    expect([text, dateWords(text, TODAY, 'past')]).toEqual([text, null]);
  }
});
