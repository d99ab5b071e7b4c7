import { photoBytes } from '@/services/photo/photos';
import { showsPicture } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = showsPicture(({ id = '' }) => photoBytes(id));
