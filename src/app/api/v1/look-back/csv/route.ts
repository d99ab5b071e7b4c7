import { chartSchema, saveLookBack } from '@/services/lookback/saveLookBack';
import { saves } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = saves('look-back.csv', chartSchema, saveLookBack);
