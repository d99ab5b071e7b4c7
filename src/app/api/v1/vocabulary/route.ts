import { readVocabulary } from '@/services/foods';
import { respond } from '../respond';

export const dynamic = 'force-dynamic';

export const GET = (): Promise<Response> => respond(readVocabulary);
