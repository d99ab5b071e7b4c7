import { keepReceipt } from '@/services/photo/photos';
import { takesPicture } from '../../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takesPicture(keepReceipt);
