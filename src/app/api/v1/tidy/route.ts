import { readTidy } from '@/services/kitchen/kitchenCheck';
import { respond } from '../respond';

export const GET = (): Promise<Response> => respond(readTidy);
