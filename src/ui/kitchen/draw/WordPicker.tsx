'use client';

import { ZONE_WORDS } from '@/core/kitchen/zoneWords';

/** Words of food to pick, each on or off. */
export function WordPicker({
  legend,
  chosen,
  onChoose,
}: {
  legend: string;
  chosen: readonly string[];
  onChoose: (words: string[]) => void;
}) {
  return (
    <details className="mt-2">
      <summary className="flex min-h-11 cursor-pointer items-center gap-2">
        <span className="text-slate">{legend}</span>
        <b className="font-heading font-semibold">{chosen.length === 0 ? 'anything' : chosen.join(', ')}</b>
      </summary>
      <fieldset className="flex flex-wrap gap-1.5">
        <legend className="sr-only">{legend}</legend>
        {ZONE_WORDS.map((word) => (
          <label
            key={word}
            className="flex min-h-11 cursor-pointer items-center gap-1.5 rounded-part border border-line px-2.5 has-checked:border-ink has-checked:bg-ice/40"
          >
            <input
              type="checkbox"
              className="size-4 accent-(--deep)"
              checked={chosen.includes(word)}
              onChange={(event) =>
                onChoose(event.target.checked ? [...chosen, word] : chosen.filter((one) => one !== word))
              }
            />
            {word.replaceAll('-', ' ')}
          </label>
        ))}
      </fieldset>
    </details>
  );
}
