import { QUERIES } from '@/services/door/queries';
import { printLosses } from '@/services/papers/lossList';
import { prints } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints('losses.pdf', QUERIES.losses, printLosses);
