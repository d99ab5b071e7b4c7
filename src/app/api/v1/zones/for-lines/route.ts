import { placesForLines } from '@/services/kitchen/placesForLines';
import { takes } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takes(placesForLines);
