import { printSlip } from '@/services/papers/slip';
import { respondPdf } from '../respond';

export const GET = (): Promise<Response> => respondPdf('morning-slip.pdf', printSlip);
