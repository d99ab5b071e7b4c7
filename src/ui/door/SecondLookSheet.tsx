'use client';

import type { NewCommand } from './doorClient';
import type { SecondLook } from './secondLook';
import { Sheet } from './Sheet';

/** Asks once more before something is done that a rule speaks against. */
export function SecondLookSheet({
  look,
  onAnswer,
  onClose,
}: {
  look: SecondLook;
  onAnswer: (commands: NewCommand[]) => void;
  onClose: () => void;
}) {
  return (
    <Sheet title={look.title} onClose={onClose}>
      <p role="alert" className="text-lg">
        {look.says}
      </p>
      <div className="mt-4 flex flex-wrap gap-2">
        {look.choices.map(({ label, commands }) => (
          <button key={label} type="button" className="button" onClick={() => onAnswer(commands)}>
            {label}
          </button>
        ))}
        <button type="button" className="button" data-main="true" onClick={onClose}>
          Leave it as it is
        </button>
      </div>
    </Sheet>
  );
}
