import { readHaulView } from '@/services/haul';
import { respond } from '../respond';

export const GET = (): Promise<Response> => respond(readHaulView);
