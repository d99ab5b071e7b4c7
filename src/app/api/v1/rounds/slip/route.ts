import { QUERIES } from '@/services/door/queries';
import { printGiveList } from '@/services/papers/giveList';
import { prints } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints('to-give-away.pdf', QUERIES.none, printGiveList);
