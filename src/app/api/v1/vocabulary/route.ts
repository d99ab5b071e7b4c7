import { QUERIES } from '@/services/door/queries';
import { readVocabulary } from '@/services/household/foods';
import { reads } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = reads(QUERIES.none, readVocabulary, { asIs: true });
