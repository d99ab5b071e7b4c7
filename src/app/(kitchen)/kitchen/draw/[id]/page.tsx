import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readApplianceDrawing } from '@/services/kitchen/kitchenDrawing';
import { orNotFound } from '@/services/door/problem';
import { DrawBench } from '@/ui/kitchen/draw/DrawBench';

export const metadata: Metadata = { title: 'Change the drawing' };

export default async function DrawingPage({ params }: { params: Promise<{ id: string }> }) {
  const found = await orNotFound(readApplianceDrawing((await params).id));
  return found ? <DrawBench view={found.view} begin={found.drawing} /> : notFound();
}
