import { openApi } from '@/services/openApi';

export const GET = (): Response => Response.json(openApi());
