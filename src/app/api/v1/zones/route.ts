import { readZones } from '@/services/kitchen/zones';
import { respond } from '../respond';

export const dynamic = 'force-dynamic';

export const GET = (): Promise<Response> => respond(readZones);
