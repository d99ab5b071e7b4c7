import { readZones } from '@/services/zones';
import { respond } from '../respond';

export const dynamic = 'force-dynamic';

export const GET = (): Promise<Response> => respond(readZones);
