import { readHaulPlaces } from '@/services/haul/haulPlaces';
import { respond } from '../../respond';

export const GET = (): Promise<Response> => respond(readHaulPlaces);
