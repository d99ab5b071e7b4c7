import { openApi } from '@/services/door/openApi';

export const GET = (): Response => Response.json(openApi());
