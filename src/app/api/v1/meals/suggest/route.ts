import { suggestWeek } from '@/services/meals/suggest';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(suggestWeek);
