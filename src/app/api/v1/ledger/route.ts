import { QUERIES } from '@/services/door/queries';
import { readLedgerPage } from '@/services/household/ledger';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.ledger, readLedgerPage);
