import { lookAtFile } from '@/services/exchange/lookAtFile';
import { fileQuery } from '@/services/exchange/openFile';
import { takesFile } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takesFile(fileQuery, lookAtFile);
