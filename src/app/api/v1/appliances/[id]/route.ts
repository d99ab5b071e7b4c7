import { readApplianceDrawing } from '@/services/kitchen/kitchenDrawing';
import { respond } from '../../respond';

export const GET = (_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  respond(async () => readApplianceDrawing((await params).id));
