'use client';

import type { Container } from '@/core/model/container';
import { Said } from '../../units/Said';
import { fitContainer, type FitZone, whyNot } from '@/core/packaging/fit';

/** How each container goes into a zone: across, to the back, on top of each other; or the measure that keeps it out. */
export function FitTable({
  zone,
  containers,
  shown,
  onShow,
}: {
  zone: FitZone;
  containers: Container[];
  shown: string | null;
  onShow: (id: string) => void;
}) {
  if (containers.length === 0)
    return <p className="mt-2 text-slate">Add a container to see how many go in.</p>;
  return (
    <div className="overflow-x-auto">
      <table className="mt-2 w-full text-left">
        <thead>
          <tr className="text-slate">
            {['Container', 'How', 'Across', 'Deep', 'High', 'Go in', 'Hold'].map((title) => (
              <th key={title} scope="col" className="py-1 pr-3 font-normal">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="divide-y divide-line">
          {containers.map((container) => {
            const [best] = fitContainer(zone, container);
            return (
              <tr key={container.id}>
                <th scope="row" className="pr-3">
                  <button
                    type="button"
                    className="min-h-11 cursor-pointer text-left font-heading font-semibold underline decoration-dotted underline-offset-4 aria-pressed:text-deep"
                    aria-pressed={shown === container.id}
                    onClick={() => onShow(container.id)}
                  >
                    {container.name}
                  </button>
                </th>
                {best ? (
                  <>
                    <td className="pr-3">
                      {best.pose === 'filed' ? 'filed on edge' : container.rigid ? 'standing' : 'lying'}
                    </td>
                    <td className="pr-3">{best.across}</td>
                    <td className="pr-3">{best.deep}</td>
                    <td className="pr-3">{best.high}</td>
                    <td className="pr-3 font-heading font-semibold">
                      {best.total} of {container.count}
                    </td>
                    <td>
                      <Said>{Math.round(best.litres * 10) / 10} l</Said>
                    </td>
                  </>
                ) : (
                  <td colSpan={6} className="text-beet">
                    {whyNot(zone, container)}
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
