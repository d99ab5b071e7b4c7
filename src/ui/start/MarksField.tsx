'use client';

import { RISK_WORDS } from '@/core/foods/forWhom';
import { type Marks, type Risk, RISKS } from '@/core/model/food';

/** Who of the people named eats with more care; what is not for them is said wherever it is met. */
export function MarksField({
  people,
  marks,
  onChange,
}: {
  people: readonly string[];
  marks: Marks;
  onChange: (marks: Marks) => void;
}) {
  if (people.length === 0) return null;
  const turn = (name: string, risk: Risk): void => {
    const has = marks[name] ?? [];
    const now = has.includes(risk) ? has.filter((one) => one !== risk) : [...has, risk];
    const { [name]: _before, ...others } = marks;
    onChange(now.length === 0 ? others : { ...others, [name]: now });
  };
  return (
    <fieldset className="sm:col-span-2">
      <legend className="font-semibold">Does anybody eat with more care?</legend>
      <p className="text-slate">
        Say so and you are told what is not for them: brie and pâté, honey, raw shellfish. You may leave it
        empty.
      </p>
      <ul className="mt-1 divide-y divide-line">
        {people.map((name) => (
          <li key={name} className="flex flex-wrap items-center gap-2 py-1.5">
            <span className="min-w-24 font-semibold">{name}</span>
            {RISKS.map((risk) => (
              <button
                key={risk}
                type="button"
                className="button"
                data-main={marks[name]?.includes(risk) ?? false}
                aria-pressed={marks[name]?.includes(risk) ?? false}
                aria-label={`${name} is ${RISK_WORDS[risk]}`}
                onClick={() => turn(name, risk)}
              >
                {RISK_WORDS[risk]}
              </button>
            ))}
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
