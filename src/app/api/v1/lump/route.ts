import { askLump } from '@/services/lump/lump';
import { takes } from '../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(askLump);
