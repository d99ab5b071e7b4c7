'use client';

import { useEffect, useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { useDoor } from '../door/useDoor';
import { fetchJson } from '../door/sendCommand';
import { Sheet } from '../door/Sheet';
import { PackageCard } from './PackageCard';

/** One package over the page. */
export function PackageSheet({ code, onClose }: { code: string; onClose: () => void }) {
  const { busy } = useDoor();
  const [detail, setDetail] = useState<PackageDetail | null>(null);
  const [fault, setFault] = useState('');
  useEffect(() => {
    let stale = false;
    fetchJson<PackageDetail>(`/api/v1/packages/${code}`)
      .then((found) => !stale && setDetail(found))
      .catch((error: Error) => !stale && setFault(error.message));
    return () => {
      stale = true;
    };
  }, [code, busy]);
  return (
    <Sheet title={detail ? `${detail.food.name}, ${detail.amount_words}` : code} onClose={onClose}>
      {fault !== '' && <p className="text-beet">{fault}</p>}
      {detail ? <PackageCard detail={detail} /> : fault === '' && <p className="text-slate">Fetching it …</p>}
    </Sheet>
  );
}
