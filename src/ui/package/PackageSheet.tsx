'use client';

import type { PackageDetail } from '@/services/stock/package';
import { useRead } from '../door/useRead';
import { Sheet } from '../door/Sheet';
import { PackageCard } from './PackageCard';

/** One package over the page. */
export function PackageSheet({ code, onClose }: { code: string; onClose: () => void }) {
  const { body: detail, fault } = useRead<PackageDetail>(`/api/v1/packages/${code}`);
  return (
    <Sheet title={detail ? `${detail.food.name}, ${detail.amount_words}` : code} onClose={onClose}>
      {fault !== '' && <p className="text-beet">{fault}</p>}
      {detail ? <PackageCard detail={detail} /> : fault === '' && <p className="text-slate">Fetching it …</p>}
    </Sheet>
  );
}
