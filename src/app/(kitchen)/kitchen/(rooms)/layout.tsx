import type { ReactNode } from 'react';
import { Rooms } from '@/ui/shell/Rooms';

const ROOMS = [
  ['/kitchen', 'Drawing'],
  ['/kitchen/check', 'Check'],
  ['/kitchen/tidy', 'Tidy'],
  ['/kitchen/containers', 'Containers'],
  ['/kitchen/upkeep', 'Upkeep'],
  ['/kitchen/foods', 'Foods'],
  ['/kitchen/household', 'Household'],
  ['/kitchen/keys', 'Keys'],
  ['/kitchen/exchange', 'In and out'],
] as const;

export default function KitchenLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <Rooms name="Kitchen" rooms={ROOMS} />
      {children}
    </>
  );
}
