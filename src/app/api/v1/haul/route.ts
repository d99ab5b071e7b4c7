import { readHaulView } from '@/services/haul/haul';
import { respond } from '../respond';

export const GET = (): Promise<Response> => respond(readHaulView);
