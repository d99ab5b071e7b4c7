import { sayDaysLeft, sayDueDate, sayFullDate, sayPastDate, sayPlainDate } from './sayDate';

const TODAY = '2026-11-25'; // a Wednesday

describe('a date ahead', () => {
  it.each([
    ['2026-11-25', 'tonight'],
    ['2026-11-26', 'tomorrow'],
    ['2026-11-27', 'Fri'],
    ['2026-12-01', 'Tue'],
    ['2026-12-02', '2 Dec'],
    ['2027-03-04', '4 Mar'],
    ['2027-09-04', '4 Sep 2027'],
    ['2026-11-24', 'yesterday'],
    ['2026-11-20', '20 Nov'],
  ])('%s is said “%s”', (date, words) => {
    expect(sayDueDate(date, TODAY)).toBe(words);
  });
});

describe('a date behind', () => {
  it.each([
    ['2026-11-25', 'today'],
    ['2026-11-24', 'yesterday'],
    ['2026-11-22', 'Sun'],
    ['2026-11-18', '18 Nov'],
    ['2026-06-01', '1 Jun'],
    ['2025-12-04', '4 Dec 2025'],
  ])('%s is said “%s”', (date, words) => {
    expect(sayPastDate(date, TODAY)).toBe(words);
  });
});

describe('days left', () => {
  it.each([
    [0, 'last day'],
    [1, '1 day left'],
    [9, '9 days'],
    [59, '59 days'],
    [60, '2 months'],
    [-1, '1 day ago'],
    [-59, '59 days ago'],
    [-332, '11 months ago'],
  ])('%d is said “%s”', (days, words) => {
    expect(sayDaysLeft(days)).toBe(words);
  });
});

it('full and plain dates, over leap days and before 1970', () => {
  expect(sayFullDate('2028-02-29')).toBe('Tuesday 29 February 2028');
  expect(sayFullDate('1969-12-31')).toBe('Wednesday 31 December 1969');
  expect(sayPlainDate('2027-01-05')).toBe('5 Jan 2027');
});
