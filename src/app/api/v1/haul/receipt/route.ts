import { readReceiptPhoto } from '@/services/photo/readReceiptPhoto';
import { takesPicture } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = takesPicture(readReceiptPhoto);
