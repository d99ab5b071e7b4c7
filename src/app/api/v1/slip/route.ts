import { QUERIES } from '@/services/door/queries';
import { printSlip } from '@/services/papers/slip';
import { prints } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints('morning-slip.pdf', QUERIES.none, printSlip);
