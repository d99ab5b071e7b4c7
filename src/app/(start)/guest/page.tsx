import type { Metadata } from 'next';
import { inOurUnits } from '@/services/household/inOurUnits';
import { readGuest } from '@/services/keys/guest';
import { GuestTable } from '@/ui/keys/GuestTable';

export const metadata: Metadata = { title: 'Help yourself · Orderly Frost' };

export default async function GuestPage() {
  return <GuestTable view={await inOurUnits(await readGuest())} />;
}
