import { beginRun } from '@/services/exchange/beginRun';
import { fileQuery } from '@/services/exchange/openFile';
import { takesFile } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takesFile(fileQuery, beginRun);
