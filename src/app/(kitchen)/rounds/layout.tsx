import type { ReactNode } from 'react';
import { Rooms } from '@/ui/shell/Rooms';

const ROOMS = [
  ['/rounds', 'Round'],
  ['/rounds/reset', 'Reset'],
  ['/rounds/leaving', 'Surplus and room'],
] as const;

export default function RoundsLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <Rooms name="Rounds" rooms={ROOMS} />
      {children}
    </>
  );
}
