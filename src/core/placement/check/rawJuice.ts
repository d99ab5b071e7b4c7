import { misplaced, type Rule } from './finding';

/** C1: raw meat or fish above or beside what is eaten as it is (P3). */
export const rawJuice: Rule = (look) =>
  misplaced(
    look,
    ({ rule }, { food }) => rule === 'P3' && food.readiness === 'raw-animal',
    'Raw juice carries germs; what is not cooked after it keeps them.',
  );
