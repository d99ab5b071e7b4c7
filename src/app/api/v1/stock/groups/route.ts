import { QUERIES } from '@/services/door/queries';
import { readStockGroups } from '@/services/stock/stockGroups';
import { reads } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.stockGroups, readStockGroups);
