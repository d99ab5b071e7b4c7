import { QUERIES } from '@/services/door/queries';
import { printGuide } from '@/services/papers/guide';
import { prints } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints('orderly-frost-guide.pdf', QUERIES.none, printGuide);
