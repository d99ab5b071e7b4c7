import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { readKitchenCheck } from '@/services/kitchen/kitchenCheck';
import { orBusy } from '@/services/door/problem';
import { BusyPage } from '@/ui/shell/BusyPage';
import { CheckList } from '@/ui/kitchen/CheckList';

export const metadata: Metadata = { title: 'Kitchen check' };

export default async function CheckPage() {
  const read = await orBusy(readKitchenCheck());
  if (read === null) return <BusyPage title="Kitchen check" here="/kitchen/check" />;
  const { findings, zones, packages } = await inOurUnits(read);
  const looked = `${packages} packages in ${zones} zones were looked through`;
  return (
    <>
      <h1 className="text-[1.6rem]">Kitchen check</h1>
      <p className="mb-3 text-slate">
        {findings.length === 0
          ? `${looked}: nothing is wrong.`
          : `${looked}; ${findings.length === 1 ? 'one thing wants' : `${findings.length} things want`} a hand.`}{' '}
        When in doubt, throw it out; local food-safety advice comes first.
      </p>
      <CheckList findings={findings} />
    </>
  );
}
