import { noticeIsDue } from './noticeSetting';

it.each([
  [{ on: true, last: '2026-11-24' }, '08:00', true],
  [{ on: true, last: '2026-11-24' }, '07:59', false],
  [{ on: true, last: '2026-11-25' }, '20:00', false],
  [{ on: false, last: '' }, '20:00', false],
  [{ on: true, last: '' }, '08:01', true],
])('%o at %s: %s', (setting, clock, due) => {
  expect(noticeIsDue(setting, '2026-11-25', clock, '08:00')).toBe(due);
});
