import { readVocabulary } from '@/services/household/foods';
import { respond } from '../respond';

export const dynamic = 'force-dynamic';

export const GET = (): Promise<Response> => respond(readVocabulary);
