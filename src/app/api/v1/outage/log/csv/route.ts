import { QUERIES } from '@/services/door/queries';
import { saveLog } from '@/services/outage/saveLog';
import { saves } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = saves('thermometers.csv', QUERIES.thermometers, saveLog);
