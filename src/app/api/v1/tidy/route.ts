import { readTidy } from '@/services/kitchenCheck';
import { respond } from '../respond';

export const GET = (): Promise<Response> => respond(readTidy);
