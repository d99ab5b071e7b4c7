import type { Metadata } from 'next';
import { OwnKitchenForm } from '@/ui/start/OwnKitchenForm';

export const metadata: Metadata = { title: 'Our own kitchen · Orderly Frost' };

export default function OwnKitchenPage() {
  return (
    <OwnKitchenForm
      timeZones={Intl.supportedValuesOf('timeZone')}
      currencies={Intl.supportedValuesOf('currency')}
    />
  );
}
