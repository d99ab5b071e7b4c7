import type { Metadata } from 'next';
import { KeyDoor } from '@/ui/keys/KeyDoor';
import { SignInForm } from '@/ui/keys/SignInForm';

export const metadata: Metadata = { title: 'Sign in · Orderly Frost' };

export default async function SignInPage({
  searchParams,
}: {
  searchParams: Promise<{ to?: string | string[] }>;
}) {
  const { to } = await searchParams;
  return (
    <KeyDoor
      title="This kitchen asks for a key"
      says="It can be reached from other machines, so it wants to know who comes."
    >
      <SignInForm to={typeof to === 'string' ? to : '/'} />
    </KeyDoor>
  );
}
