import type { Metadata } from 'next';
import { inOurUnits } from '@/services/household/inOurUnits';
import { viewContext } from '@/services/household/context';
import { readDrawing } from '@/services/kitchen/drawing';
import { readHaulView } from '@/services/haul/haul';
import { readHaulPlaces } from '@/services/haul/haulPlaces';
import { HaulBench } from '@/ui/haul/HaulBench';
import { OnlyWhoMay } from '@/ui/door/IfMay';

export const metadata: Metadata = { title: 'Haul' };

export default async function HaulPage() {
  const context = await viewContext();
  const [view, places, appliances] = await Promise.all([
    readHaulView(),
    readHaulPlaces(),
    readDrawing(context),
  ]);
  return (
    <OnlyWhoMay type="haul.pack">
      <HaulBench {...await inOurUnits({ first: view, firstPlaces: places })} appliances={appliances} />
    </OnlyWhoMay>
  );
}
