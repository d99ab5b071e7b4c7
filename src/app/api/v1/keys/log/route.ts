import { QUERIES } from '@/services/door/queries';
import { readSecurityLog } from '@/services/keys/securityLog';
import { reads } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readSecurityLog, { asIs: true });
