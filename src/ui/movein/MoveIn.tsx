'use client';

import { Said } from '../units/Said';
import Link from 'next/link';
import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import { newAppliance, SHAPE_MODELS } from '@/core/kitchen/newAppliance';
import { litresOf } from '@/core/kitchen/sizeAppliance';
import type { ApplianceDrawing, ApplianceShape } from '@/core/model/drawing';
import { countedIds } from '../kitchen/draw/countedIds';
import { SmallDrawing } from '../kitchen/draw/SmallDrawing';
import { useDoor } from '../door/useDoor';
import { ShapeSize } from './ShapeSize';

const WORDS = 'inline-flex min-h-11 cursor-pointer items-center text-deep underline underline-offset-4';

/** "Chest freezer", "Chest freezer 2": a name that no other appliance has. */
function freshName(title: string, taken: readonly string[]): string {
  for (let count = 1; ; count++) {
    const name = count === 1 ? title : `${title} ${count}`;
    if (!taken.some((other) => other.toLowerCase() === name.toLowerCase())) return name;
  }
}

/** An appliance that is in the kitchen. */
interface ThereAlready {
  drawing: ApplianceDrawing;
  version: number;
  packages: number;
}

/** The first step of moving in: the nearest shape, its size, done. */
export function MoveIn({ appliances }: { appliances: ThereAlready[] }) {
  const { act, busy } = useDoor();
  const [shape, setShape] = useState<ApplianceShape | null>(null);
  const [changed, setChanged] = useState<ThereAlready | null>(null);
  const begin = (chosen: ApplianceShape): ApplianceDrawing => {
    const title = SHAPE_MODELS.find(({ id }) => id === chosen)?.title ?? '';
    const names = appliances.map(({ drawing }) => drawing.name);
    return newAppliance(
      chosen,
      freshName(title, names),
      appliances.at(-1)?.drawing.room ?? 'Kitchen',
      newUuid,
    );
  };
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="text-[1.6rem]">What keeps your food cold?</h1>
      <p className="mb-4 max-w-2xl text-slate">
        Pick the nearest shape and say how large it is. Shelves and drawers are spread as usual for it.
        Measuring them yourself can wait: it only makes better which box fits where, how much room is left,
        and how long the cold lasts in a power cut.
      </p>
      {appliances.length > 0 && (
        <section aria-labelledby="there" className="card mb-4 p-4">
          <h2 id="there" className="text-lg">
            In your kitchen
          </h2>
          <ul className="mt-2 flex flex-wrap gap-4">
            {appliances.map((there) => {
              const { drawing, packages } = there;
              return (
                <li key={drawing.id} className="flex items-center gap-3">
                  <SmallDrawing drawing={drawing} small />
                  <span>
                    <b className="block font-heading font-semibold">{drawing.name}</b>
                    <span className="text-slate">
                      <Said>{Math.round(litresOf(drawing))} l</Said>, {drawing.zones.length} zones
                    </span>
                    <span className="flex flex-wrap gap-x-4">
                      <Link
                        href={`/kitchen/draw/${drawing.id}`}
                        className="flex min-h-11 items-center text-deep underline underline-offset-4"
                      >
                        Measure its shelves
                      </Link>
                      <button type="button" className={WORDS} onClick={() => setChanged(there)}>
                        Change its size
                      </button>
                      {packages === 0 && (
                        <button
                          type="button"
                          className={WORDS}
                          disabled={busy}
                          onClick={() =>
                            void act({ type: 'appliance.remove', appliance: drawing.id, rehome: [] })
                          }
                        >
                          Take it out
                        </button>
                      )}
                    </span>
                  </span>
                </li>
              );
            })}
          </ul>
          <Link href="/first-fill" className="button mt-3" data-main="true">
            That is all of them: what is in there?
          </Link>
        </section>
      )}
      {changed ? (
        <ShapeSize
          key={changed.drawing.id}
          begin={changed.drawing}
          version={changed.version}
          onDone={() => setChanged(null)}
        />
      ) : shape ? (
        <ShapeSize key={shape} begin={begin(shape)} version={null} onDone={() => setShape(null)} />
      ) : (
        <section aria-labelledby="shapes">
          <h2 id="shapes" className="mb-2 text-lg">
            {appliances.length > 0 ? 'One more' : 'Which shape is the first?'}
          </h2>
          <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
            {SHAPE_MODELS.map(({ id, title, compartments }) => (
              <li key={id}>
                <button
                  type="button"
                  className="card flex h-full w-full cursor-pointer items-center gap-3 p-3 text-left hover:border-ink hover:bg-ice/20"
                  onClick={() => setShape(id)}
                >
                  <SmallDrawing drawing={newAppliance(id, '', '', countedIds(id))} small />
                  <span>
                    <b className="block font-heading text-[1.05rem] font-semibold">{title}</b>
                    <span className="text-slate-deep">
                      {compartments
                        .map(
                          ({ cold, zones }) =>
                            `${cold}, ${zones.length} ${zones.length === 1 ? 'zone' : 'zones'}`,
                        )
                        .join('; ')}
                    </span>
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <Link href="/kitchen/draw" className={`mt-3 ${WORDS}`}>
            Draw it yourself, shelf by shelf
          </Link>
        </section>
      )}
    </div>
  );
}
