import { QUERIES } from '@/services/door/queries';
import { saveLosses } from '@/services/outage/saveLosses';
import { saves } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = saves('losses.csv', QUERIES.losses, saveLosses);
