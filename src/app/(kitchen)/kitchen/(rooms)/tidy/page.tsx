import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import Link from 'next/link';
import { readTidy } from '@/services/kitchen/kitchenCheck';
import { orBusy } from '@/services/door/problem';
import { BusyPage } from '@/ui/shell/BusyPage';
import { TidyWalk } from '@/ui/kitchen/TidyWalk';

export const metadata: Metadata = { title: 'Tidy' };

export default async function TidyPage() {
  const read = await orBusy(readTidy());
  if (read === null) return <BusyPage title="Tidy" here="/kitchen/tidy" />;
  const { stops, moves, gain } = await inOurUnits(read);
  return (
    <>
      <h1 className="text-[1.6rem]">Tidy</h1>
      {moves === 0 ? (
        <div className="card mt-3 max-w-2xl p-8">
          <h2 className="text-xl">Everything lies where it lies best, or close to it</h2>
          <p className="mt-2">
            Raw below ready, what goes first in front, heavy low: when a move would gain something, it is
            listed here in the order of doors. Look again after a haul.
          </p>
          <Link className="button mt-4" href="/kitchen/check">
            Look for what is wrong
          </Link>
        </div>
      ) : (
        <p className="mb-3 text-slate">
          {moves} {moves === 1 ? 'move' : 'moves'}, worth {gain} points in all, with the fewest doors opened.
          Tick each when it is done; skip what you do not want.
        </p>
      )}
      <TidyWalk stops={stops} />
    </>
  );
}
