import { QUERIES } from '@/services/door/queries';
import { printStock } from '@/services/papers/stockList';
import { prints } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints('stock.pdf', QUERIES.stockList, printStock);
