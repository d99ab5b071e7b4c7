'use client';

import { useState } from 'react';
import { makeRoom, type RoomDeed } from '@/core/leaving/makeRoom';
import type { LeavingView } from '@/services/leaving/leaving';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';

const DEED_WORDS: Readonly<Record<RoomDeed['deed'], string>> = {
  bin: 'bin it: it is past its date',
  out: 'out of the fridge: it needs no cold while it is closed',
  repack: 'out of its carton, into a flat bag',
  eat: 'eat it: it is due anyway',
};
const WANTED = ['5', '10', '20', '40', '80'] as const;
const round = (litres: number): number => Math.round(litres * 10) / 10;

/** Room for a shop: how much fits where now, and a plan to make so many litres more. */
export function RoomCard({ view, say }: { view: LeavingView; say: (words: string) => string }) {
  const { showPackage } = useDoor();
  const [cold, setCold] = useState<'fridge' | 'freezer'>('fridge');
  const [litres, setLitres] = useState<(typeof WANTED)[number]>('10');
  const zones = view.room.filter((zone) => zone.cold === cold);
  const free = round(zones.reduce((sum, { free_l }) => sum + free_l, 0));
  const wanted = Number(litres);
  const its = view.deeds.filter((deed) => deed.cold === cold);
  const plan = makeRoom(its, Math.max(0, wanted - free));
  const thing = (id: string) => its.find((one) => one.package === id)?.thing;
  return (
    <section aria-labelledby="room" className="card space-y-3 p-4">
      <h2 id="room" className="text-xl">
        Room for a shop
      </h2>
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="In the"
          value={cold}
          choices={[
            ['fridge', 'fridges'],
            ['freezer', 'freezers'],
          ]}
          onChoose={setCold}
        />
        <Choice
          label="Room wanted"
          value={litres}
          choices={WANTED.map((one) => [one, say(`${one} l`)] as const)}
          onChoose={setLitres}
        />
        <p role="status" className="pb-2 text-lg">
          {say(`${free} l`)} are free now{cold === 'fridge' && ', air between things left out'}.{' '}
          {free >= wanted
            ? 'That fits.'
            : plan.short > 0
              ? `The plan makes ${say(`${round(plan.litres)} l`)} more; ${say(`${round(plan.short)} l`)} are still short.`
              : `The plan makes ${say(`${round(plan.litres)} l`)} more: enough.`}
        </p>
      </div>
      {free < wanted && plan.deeds.length > 0 && (
        <ol className="divide-y divide-line" aria-label="The plan">
          {plan.deeds.map((deed) => {
            const one = thing(deed.package);
            return (
              one && (
                <li key={deed.package}>
                  <button
                    type="button"
                    className="min-h-11 w-full py-1 text-left hover:underline"
                    onClick={() => showPackage(one.code)}
                  >
                    <b className="font-heading">
                      {one.called} {say(one.amount_words)}
                    </b>{' '}
                    <span className="text-slate">
                      {one.code} · {one.place}
                    </span>
                    <span className="block text-[0.9375rem]">
                      {DEED_WORDS[deed.deed]} · {say(`${round(deed.litres)} l`)}
                    </span>
                  </button>
                </li>
              )
            );
          })}
        </ol>
      )}
      <ul className="grid gap-x-6 gap-y-1 sm:grid-cols-2 lg:grid-cols-3" aria-label="Free by zone">
        {zones.map((zone) => (
          <li key={zone.id} className="flex justify-between gap-2 border-b border-line py-1">
            <span>
              {zone.name} <span className="text-slate">{zone.appliance}</span>
            </span>
            <b className="font-heading">{say(`${zone.free_l} l`)}</b>
          </li>
        ))}
      </ul>
    </section>
  );
}
