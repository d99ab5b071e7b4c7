import { QUERIES } from '@/services/door/queries';
import { printDoorSheet } from '@/services/papers/doorSheet';
import { prints } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints('door-sheet.pdf', QUERIES.sheet, printDoorSheet);
