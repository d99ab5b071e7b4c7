'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { PLACES } from './places';

const OTHERS = [
  ['/', 'type into the quick line'],
  ['?', 'show this list'],
  ['Tab', 'in the quick line: finish the word'],
  ['↑', 'in the quick line: the line before'],
  ['Esc', 'close what lies on top'],
] as const;

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** One key for each place; `?` lists them. */
export function Shortcuts() {
  const router = useRouter();
  const [shown, setShown] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (document.querySelector('[role=dialog]')) return;
      const place = PLACES.find(({ key }) => key === event.key);
      if (place) router.push(place.href);
      else if (event.key === '?') setShown(true);
      else if (event.key === '/') document.getElementById('quick-line')?.focus();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router]);
  return (
    <Dialog open={shown} onClose={() => setShown(false)} className="relative z-50">
      <div className="fixed inset-0 flex items-center justify-center bg-black/40 p-4">
        <DialogPanel className="card w-full max-w-md p-6">
          <DialogTitle className="text-xl">Keys</DialogTitle>
          <dl className="mt-4 grid grid-cols-[3.5rem_1fr] gap-y-2">
            {PLACES.map(({ key, name }) => (
              <div key={key} className="contents">
                <dt className="font-heading font-bold">{key}</dt>
                <dd>go to {name}</dd>
              </div>
            ))}
            {OTHERS.map(([key, says]) => (
              <div key={key} className="contents">
                <dt className="font-heading font-bold">{key}</dt>
                <dd>{says}</dd>
              </div>
            ))}
          </dl>
          <button type="button" className="button mt-5" onClick={() => setShown(false)}>
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
