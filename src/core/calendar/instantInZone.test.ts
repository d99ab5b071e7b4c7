import { dateInZone } from './dateInZone';
import { instantInZone } from './instantInZone';

it.each([
  ['2026-11-25', '08:00', 'Europe/Dublin', '2026-11-25T08:00:00.000Z'],
  ['2026-07-01', '08:00', 'Europe/Dublin', '2026-07-01T07:00:00.000Z'],
  ['2026-11-25', '08:00', 'Pacific/Kiritimati', '2026-11-24T18:00:00.000Z'],
  ['2026-11-25', '08:00', 'Pacific/Pago_Pago', '2026-11-25T19:00:00.000Z'],
  // 01:30 does not exist in Dublin on that night.
  ['2027-03-28', '01:30', 'Europe/Dublin', '2027-03-28T01:30:00.000Z'],
])('%s %s in %s', (date, time, zone, instant) => {
  expect(instantInZone(date, time, zone)).toBe(instant);
});

it('gives back the day it was asked for, at the date line and on days with 23 and 25 hours', () => {
  for (const zone of [
    'Pacific/Kiritimati',
    'Pacific/Pago_Pago',
    'Pacific/Apia',
    'Europe/Dublin',
    'Australia/Lord_Howe',
  ]) {
    for (let day = 1; day <= 31; day++) {
      for (const month of ['03', '10', '12']) {
        const date = `2027-${month}-${String(day).padStart(2, '0')}`;
        for (const time of ['00:00', '08:00', '23:59']) {
          expect(dateInZone(instantInZone(date, time, zone), zone)).toBe(date);
        }
      }
    }
  }
});
