import { misplaced, type Rule } from './finding';

/** C2: a zone too warm for what lies there (P2). */
export const tooWarm: Rule = (look) =>
  misplaced(look, ({ rule }) => rule === 'P2', 'Above 4 °C its days run out faster than the label says.');
