import { QUERIES } from '@/services/door/queries';
import { printLabels } from '@/services/papers/labels';
import { prints } from '../answers';

interface Query {
  codes?: string;
  freezing?: string;
  size: string;
  start: number;
}

const codesIn = (told = ''): string[] => told.split(',').filter((code) => code !== '');

export const { GET, POST, PUT, PATCH, DELETE } = prints('labels.pdf', QUERIES.labels, (query: Query) =>
  printLabels({
    codes: codesIn(query.codes),
    freezing: codesIn(query.freezing),
    size: query.size,
    startAt: query.start,
  }),
);
