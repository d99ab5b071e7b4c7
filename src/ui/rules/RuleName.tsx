'use client';

import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { Said } from '../units/Said';
import ruleWords from './ruleWords.json';

const RULES = ruleWords as unknown as Readonly<
  Record<string, readonly [title: string, says: string, source: string]>
>;

/** A rule by its id; pressed, it says in plain words what it is and where it comes from. */
export function RuleName({ rule }: { rule: string }) {
  const words = Object.hasOwn(RULES, rule) ? RULES[rule] : undefined;
  if (!words) return <>{rule}</>;
  const [title, says, source] = words;
  return (
    <Popover as="span" className="inline-block">
      <PopoverButton className="-m-2 inline-flex min-h-11 min-w-11 cursor-pointer items-center justify-center p-2 text-deep underline underline-offset-4">
        {rule}
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        className="z-[70] w-80 max-w-[calc(100vw-1.5rem)] rounded-card border border-ink bg-snow p-4 text-base text-ink shadow-lg"
      >
        <p className="font-heading font-semibold">
          {rule}: {title}
        </p>
        <p className="mt-1">
          <Said>{says}</Said>
        </p>
        <p className="mt-1 text-slate">After {source}.</p>
      </PopoverPanel>
    </Popover>
  );
}
