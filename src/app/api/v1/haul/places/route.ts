import { readHaulPlaces } from '@/services/haulPlaces';
import { respond } from '../../respond';

export const GET = (): Promise<Response> => respond(readHaulPlaces);
