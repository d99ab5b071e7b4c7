import { QUERIES } from '@/services/door/queries';
import { printShopping } from '@/services/papers/shoppingList';
import { prints } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints('shopping.pdf', QUERIES.none, printShopping);
