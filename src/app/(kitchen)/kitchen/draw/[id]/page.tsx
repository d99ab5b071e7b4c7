import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readApplianceDrawing } from '@/services/kitchen/kitchenDrawing';
import { orNotFound } from '@/services/door/problem';
import { DrawBench } from '@/ui/kitchen/draw/DrawBench';
import { OnlyWhoMay } from '@/ui/door/IfMay';

export const metadata: Metadata = { title: 'Change the drawing' };

export default async function DrawingPage({ params }: { params: Promise<{ id: string }> }) {
  const found = await orNotFound(readApplianceDrawing((await params).id));
  if (!found) notFound();
  return (
    <OnlyWhoMay type="appliance.draw">
      <DrawBench view={found.view} begin={found.drawing} />
    </OnlyWhoMay>
  );
}
