import type { Metadata } from 'next';
import { ourHousehold } from '@/services/household/household';
import { TABLE_NAMES } from '@/services/exchange/tables';
import { whoAsks } from '@/services/keys/whoAsks';
import { BringIn } from '@/ui/exchange/BringIn';
import { TakeOut } from '@/ui/exchange/TakeOut';

export const metadata: Metadata = { title: 'In and out' };

export default async function ExchangePage() {
  const [{ name }, { role }] = [await ourHousehold(), await whoAsks()];
  const cook = role === 'cook';
  return (
    <>
      <h1 className="text-[1.6rem]">In and out</h1>
      <p className="mb-3 max-w-3xl text-slate">
        Everything of {name} in open formats: to keep, to work on elsewhere, to move to another machine. And
        lists that somebody kept on paper or in a spreadsheet, row by row.
      </p>
      <div className="grid items-start gap-4 lg:grid-cols-[2fr_3fr]">
        <TakeOut tables={TABLE_NAMES} cook={cook} />
        {cook && <BringIn />}
      </div>
    </>
  );
}
