import { cookies } from 'next/headers';
import { isSecure } from '@/services/keys/asksForKeys';
import { keyCookie, staysDays } from '@/services/keys/whoAsks';

const HOW = { path: '/', sameSite: 'lax', httpOnly: true } as const;

/** This device stays signed in: pages cannot read the token, and under TLS it never goes by an open line. */
export async function rememberKey(token: string): Promise<void> {
  (await cookies()).set(keyCookie(), token, { ...HOW, secure: isSecure(), maxAge: staysDays() * 86_400 });
}

export async function forgetKey(): Promise<void> {
  (await cookies()).set(keyCookie(), '', { ...HOW, secure: isSecure(), maxAge: 0 });
}
