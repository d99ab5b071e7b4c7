import type { ReactNode } from 'react';
import { Rooms } from '@/ui/shell/Rooms';

const ROOMS = [
  ['/outage', 'Now'],
  ['/outage/prepare', 'Prepare'],
  ['/outage/log', 'Thermometers'],
  ['/outage/drill', 'Drill'],
  ['/outage/cuts', 'Past cuts'],
] as const;

export default function OutageLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <Rooms name="Outage" rooms={ROOMS} />
      {children}
    </>
  );
}
