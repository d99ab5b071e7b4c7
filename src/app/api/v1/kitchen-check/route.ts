import { readKitchenCheck } from '@/services/kitchenCheck';
import { respond } from '../respond';

export const GET = (): Promise<Response> => respond(readKitchenCheck);
