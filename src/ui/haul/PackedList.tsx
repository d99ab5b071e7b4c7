import { sayMoney } from '@/core/units/sayAmount';
import type { HaulPack } from '@/services/haul/haul';

/** The packs of a line that is labelled: code, amount, share of the price, and where each is now. */
export function PackedList({ packs, currency }: { packs: readonly HaulPack[]; currency: string }) {
  return (
    <table className="w-full text-left">
      <caption className="sr-only">Packs of this line</caption>
      <thead>
        <tr className="text-slate">
          <th className="font-normal">code</th>
          <th className="font-normal">amount</th>
          <th className="font-normal">cost</th>
          <th className="font-normal">until</th>
          <th className="font-normal">now</th>
        </tr>
      </thead>
      <tbody>
        {packs.map((pack) => (
          <tr key={pack.id} className="border-t border-line">
            <th className="py-1.5 font-heading font-semibold">{pack.code}</th>
            <td>{pack.amount_words}</td>
            <td>{pack.price_minor === null ? '–' : sayMoney(pack.price_minor, currency)}</td>
            <td>{pack.label.due}</td>
            <td>{pack.gone ? 'gone' : pack.waiting ? 'on the counter' : (pack.zone?.name ?? 'kept out')}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
