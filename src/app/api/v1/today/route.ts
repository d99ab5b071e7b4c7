import { readToday } from '@/services/today';
import { respond } from '../respond';

export const dynamic = 'force-dynamic';

export const GET = (): Promise<Response> => respond(readToday);
