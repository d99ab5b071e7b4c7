import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { readContainersView } from '@/services/kitchen/containers';
import { ContainerBench } from '@/ui/kitchen/containers/ContainerBench';

export const metadata: Metadata = { title: 'Containers' };

export default async function ContainersPage() {
  return (
    <>
      <h1 className="text-[1.6rem]">Containers and what fits where</h1>
      <ContainerBench view={await inOurUnits(await readContainersView())} />
    </>
  );
}
