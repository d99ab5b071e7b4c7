import type { ReactNode } from 'react';
import { Rooms } from '@/ui/shell/Rooms';

const ROOMS = [
  ['/ledger', 'What happened'],
  ['/ledger/look-back', 'Look back'],
] as const;

export default function LedgerLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <Rooms name="Ledger" rooms={ROOMS} />
      {children}
    </>
  );
}
