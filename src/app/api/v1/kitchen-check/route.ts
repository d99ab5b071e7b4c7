import { readKitchenCheck } from '@/services/kitchen/kitchenCheck';
import { respond } from '../respond';

export const GET = (): Promise<Response> => respond(readKitchenCheck);
