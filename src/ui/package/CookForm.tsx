'use client';

import { useState } from 'react';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { toApiLine } from '@/services/door/apiLine';
import { previewLine } from '../quickline/previewLine';
import { useVocabulary } from '../quickline/useVocabulary';
import { useSay } from '../units/useSay';

/** Cooked: eaten at once, or kept as a new lot that is typed like any line of a haul. */
export function CookForm({
  name,
  single,
  onCook,
}: {
  name: string;
  /** One package only: what came of several is a haul of its own. */
  single: boolean;
  onCook: (into: ReturnType<typeof toApiLine> | null) => void;
}) {
  const say = useSay();
  const { vocabulary } = useVocabulary();
  const [text, setText] = useState('');
  const reading = vocabulary && text.trim() !== '' ? parseQuickLine(`${text} cooked`, vocabulary) : null;
  const preview = reading?.line && vocabulary ? previewLine(reading.line, vocabulary) : null;
  const fault = reading?.faults[0]?.says ?? preview?.refused ?? '';
  return (
    <form
      className="space-y-2 rounded-part border border-line p-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reading?.line && !preview?.refused) onCook(toApiLine(reading.line));
      }}
    >
      <button type="button" className="button" onClick={() => onCook(null)}>
        Cooked and eaten
      </button>
      {single && (
        <>
          <label className="block">
            <span className="block text-slate">Or what {name} became, to be kept</span>
            <input
              className="field"
              value={text}
              placeholder={say('stew 1.2 kg / 4 tub > top shelf')}
              autoComplete="off"
              spellCheck={false}
              aria-invalid={fault !== ''}
              aria-describedby="cook-reading"
              onChange={(event) => setText(event.target.value)}
            />
          </label>
          <p id="cook-reading" role="status" className={fault === '' ? 'text-slate' : 'text-beet'}>
            {fault === '' && preview?.due ? `${preview.packs}, ${preview.due}` : fault}
          </p>
          <button
            type="submit"
            className="button"
            data-main="true"
            disabled={!reading?.line || preview?.refused !== null}
          >
            Keep the dish
          </button>
        </>
      )}
    </form>
  );
}
