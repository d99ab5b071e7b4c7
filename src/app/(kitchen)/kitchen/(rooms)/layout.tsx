import type { ReactNode } from 'react';
import { KitchenRooms } from '@/ui/kitchen/KitchenRooms';

export default function KitchenLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <KitchenRooms />
      {children}
    </>
  );
}
