import fc from 'fast-check';
import { addMonths } from './addMonths';
import { addDays, dateOfDay, dayNumber, daysBetween, isCalendarDate } from './calendarDate';
import { dateInZone } from './dateInZone';
import { sayDaysLeft, sayDueDate, sayFullDate } from './sayDate';

const anyDay = fc.integer({ min: dayNumber('1990-01-01'), max: dayNumber('2120-12-31') });

describe('calendar dates', () => {
  it('knows which dates exist', () => {
    expect(['2028-02-29', '2026-12-31'].every(isCalendarDate)).toBe(true);
    expect(
      ['2027-02-29', '2026-13-01', '2026-00-10', '26-1-1', '1899-01-01', 'soon'].some(isCalendarDate),
    ).toBe(false);
  });

  it('counts days there and back over leap days and years', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: -4000, max: 4000 }), (day, step) => {
        const date = dateOfDay(day);
        expect(daysBetween(date, addDays(date, step))).toBe(step);
      }),
    );
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
  });

  it('adds months by the calendar, then the fraction in thirtieths, rounded down', () => {
    expect(addMonths('2026-11-30', 3)).toBe('2027-02-28');
    expect(addMonths('2027-11-30', 3)).toBe('2028-02-29');
    expect(addMonths('2026-11-25', 3.5)).toBe('2027-03-12');
    expect(addMonths('2026-01-31', 2.3)).toBe('2026-04-09');
    expect(addMonths('2026-01-31', 0)).toBe('2026-01-31');
    expect(() => addMonths('2026-01-31', -1)).toThrow(RangeError);
  });

  it('never moves back when more months are added', () => {
    fc.assert(
      fc.property(anyDay, fc.double({ min: 0, max: 60, noNaN: true }), (day, months) => {
        const date = dateOfDay(day);
        expect(addMonths(date, months) >= date).toBe(true);
        expect(addMonths(date, months + 1) > addMonths(date, months)).toBe(true);
      }),
    );
  });

  it('takes the date from the household clock, not from Greenwich', () => {
    expect(dateInZone('2026-11-25T23:30:00Z', 'Pacific/Kiritimati')).toBe('2026-11-26');
    expect(dateInZone('2026-06-25T23:30:00Z', 'Europe/Dublin')).toBe('2026-06-26');
    expect(dateInZone('2026-11-25T23:30:00Z', 'Europe/Dublin')).toBe('2026-11-25');
  });

  it('says dates as people do', () => {
    expect(sayDueDate('2026-11-25', '2026-11-25')).toBe('tonight');
    expect(sayDueDate('2026-11-27', '2026-11-25')).toBe('Fri');
    expect(sayDueDate('2026-12-04', '2026-11-25')).toBe('4 Dec');
    expect(sayDueDate('2027-09-04', '2026-11-25')).toBe('4 Sep 2027');
    expect(sayFullDate('2026-11-25')).toBe('Wednesday 25 November 2026');
    expect([0, 1, -2, 90].map(sayDaysLeft)).toEqual(['last day', '1 day left', '2 days ago', '3 months']);
  });
});
