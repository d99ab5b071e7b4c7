import { QUERIES } from '@/services/door/queries';
import { readStockPage } from '@/services/stock/stock';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.stock, readStockPage);
