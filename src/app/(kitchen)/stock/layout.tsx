import type { ReactNode } from 'react';
import { Rooms } from '@/ui/shell/Rooms';

const ROOMS = [
  ['/stock', 'All of it'],
  ['/stock/take', 'Help yourself'],
  ['/stock/shopping', 'Shopping'],
  ['/stock/sheet', 'Door sheet'],
  ['/stock/lump', 'What is this?'],
] as const;

export default function StockLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <Rooms name="Stock" rooms={ROOMS} />
      {children}
    </>
  );
}
