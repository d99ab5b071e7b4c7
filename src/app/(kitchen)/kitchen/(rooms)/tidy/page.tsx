import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { readTidy } from '@/services/kitchen/kitchenCheck';
import { TidyWalk } from '@/ui/kitchen/TidyWalk';

export const metadata: Metadata = { title: 'Tidy' };

export default async function TidyPage() {
  const { stops, moves, gain } = await inOurUnits(await readTidy());
  return (
    <>
      <h1 className="text-[1.6rem]">Tidy</h1>
      <p className="mb-3 text-slate">
        {moves === 0
          ? 'Everything lies where it lies best, or close to it.'
          : `${moves} ${moves === 1 ? 'move' : 'moves'}, worth ${gain} points in all, with the fewest doors opened. Tick each when it is done; skip what you do not want.`}
      </p>
      <TidyWalk stops={stops} />
    </>
  );
}
