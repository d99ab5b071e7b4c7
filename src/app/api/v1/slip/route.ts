import { printSlip } from '@/services/slip';
import { respondPdf } from '../respond';

export const GET = (): Promise<Response> => respondPdf('morning-slip.pdf', printSlip);
