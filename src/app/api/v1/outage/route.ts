import { QUERIES } from '@/services/door/queries';
import { readDesk } from '@/services/outage/cutDesk';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.outage, readDesk, { asIs: true });
