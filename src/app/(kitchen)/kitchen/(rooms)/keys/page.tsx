import type { Metadata } from 'next';
import { readMembers } from '@/services/keys/members';
import { KeysBench } from '@/ui/keys/KeysBench';

export const metadata: Metadata = { title: 'Keys' };

export default async function KeysPage() {
  return <KeysBench view={await readMembers()} />;
}
