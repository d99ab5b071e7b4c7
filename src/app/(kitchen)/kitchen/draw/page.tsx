import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { APPLIANCE_SHAPES } from '@/core/model/drawing';
import { beginDrawing } from '@/services/kitchen/kitchenDrawing';
import { orNotFound } from '@/services/door/problem';
import { type Search, textsOf } from '../../search';
import { DrawBench } from '@/ui/kitchen/draw/DrawBench';
import { ShapeChooser } from '@/ui/kitchen/draw/ShapeChooser';
import { OnlyWhoMay } from '@/ui/door/IfMay';

export const metadata: Metadata = { title: 'Draw an appliance' };

export default async function NewDrawingPage({ searchParams }: { searchParams: Search }) {
  const { shape: told, like } = await textsOf(searchParams, 'shape', 'like');
  const shape = APPLIANCE_SHAPES.find((id) => id === told);
  if (shape || like) {
    const begun = await orNotFound(beginDrawing(shape ? { shape } : { like: like ?? '' }));
    return begun ? <DrawBench view={begun.view} begin={begun.drawing} /> : notFound();
  }
  return (
    <>
      <h1 className="text-[1.6rem]">Which shape is it?</h1>
      <p className="mb-3 text-slate">
        Shelves, drawers and racks are filled in with usual inner measures; you change what differs. Two of
        the same? Draw one, then “another like it” in the{' '}
        <Link href="/kitchen" className="text-deep underline">
          kitchen
        </Link>
        .
      </p>
      <OnlyWhoMay type="appliance.draw">
        <ShapeChooser />
      </OnlyWhoMay>
    </>
  );
}
