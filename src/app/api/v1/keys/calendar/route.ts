import { renewCalendar } from '@/services/keys/calendarKeys';
import { MEMBERS, takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(renewCalendar, { may: MEMBERS, asIs: true });
