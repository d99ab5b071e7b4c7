import { QUERIES } from '@/services/door/queries';
import { saveStock } from '@/services/stock/saveStock';
import { saves } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = saves('stock.csv', QUERIES.stockList, saveStock);
