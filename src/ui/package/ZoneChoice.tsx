'use client';

import type { PlaceChoice } from '@/services/kitchen/placeChoices';
import { useRead } from '../door/useRead';
import { WaysOut } from './WaysOut';

/**
 * The zones a package may go to, the best first and marked, each other one with what speaks against it.
 *
 * @param state as it will lie there
 * @param onChoose `told`: the cook was told of something against it and chose it all the same
 */
export function ZoneChoice({
  title,
  code,
  state,
  keys = false,
  onChoose,
}: {
  title: string;
  code: string;
  state: 'chilled' | 'frozen';
  /** What it stands in listens to the figures. */
  keys?: boolean;
  onChoose: (zone: string, told: boolean) => void;
}) {
  const { body, fault } = useRead<{ places: PlaceChoice[] }>(
    `/api/v1/packages/${encodeURIComponent(code)}/places?state=${state}`,
  );
  const places = body?.places ?? null;
  const hindered = places?.every(({ rule }) => rule !== '') ? places[0] : undefined;
  return (
    <fieldset className="rounded-part border border-line p-3">
      <legend className="px-1">{title}</legend>
      {fault !== '' && <p className="text-beet">{fault}</p>}
      {places === null && fault === '' && <p className="text-slate">Looking where there is room …</p>}
      {places?.length === 0 && <p>There is no zone for that in this kitchen.</p>}
      <ul className="grid gap-2 sm:grid-cols-2">
        {places?.map(({ id, name, appliance, best, why, against }, at) => (
          <li key={id}>
            <button
              type="button"
              className="button block h-full w-full text-left"
              data-main={best}
              data-muted={against !== ''}
              data-digit={keys && at < 9 ? at + 1 : undefined}
              onClick={() => onChoose(id, against !== '')}
            >
              <span className="block">
                {name}
                <span className="font-normal"> {appliance}</span>
                {keys && at < 9 && (
                  <kbd aria-hidden className="key">
                    {at + 1}
                  </kbd>
                )}
              </span>
              {(best || against !== '') && (
                <span className="block text-[0.9375rem] font-normal">{best ? `best: ${why}` : against}</span>
              )}
            </button>
          </li>
        ))}
      </ul>
      {hindered && <WaysOut rule={hindered.rule} />}
    </fieldset>
  );
}
