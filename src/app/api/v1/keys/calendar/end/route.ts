import { endCalendar } from '@/services/keys/calendarKeys';
import { MEMBERS, takes } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(endCalendar, { may: MEMBERS, asIs: true });
