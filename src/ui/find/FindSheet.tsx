'use client';

import { ScanLine } from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { FindView } from '@/services/stock/find';
import { Sheet } from '../door/Sheet';
import { useDoor } from '../door/useDoor';
import { useRead } from '../door/useRead';
import { useSettled } from '../door/useSettled';
import { MiniKitchen } from '../map/MiniKitchen';
import { DateButton } from '../package/DateButton';
import { MainAction } from '../package/MainAction';
import { sayPackage } from '../package/sayPackage';
import { AskedParts } from '../stock/AskField';
import { Tape } from '../tape/Tape';
import { IfMay } from '../door/IfMay';

const LabelScan = dynamic(() => import('../scan/LabelScan').then((module) => module.LabelScan));

const EXAMPLES = ['where is the butter', 'mince', 'oldest in the chest', 'frozen fish', 'lunch', 'hands off'];
const REST_MS = 150;

/** Where is it, how many, how old, which first: asked in one's own words. */
export function FindSheet({
  begin,
  typedBefore,
  onClose,
}: {
  begin: string;
  /** What was typed before this was here. */
  typedBefore: () => string;
  onClose: () => void;
}) {
  const { act, busy, showPackage } = useDoor();
  const [text, setText] = useState(begin);
  const [scanning, setScanning] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const takeOver = useEffectEvent(() => {
    // Once the field has the focus, keys go there.
    input.current?.focus();
    const typed = typedBefore();
    // At once, before the next key changes the field itself.
    flushSync(() => setText((now) => now + typed));
  });
  useEffect(() => {
    const timer = setTimeout(() => takeOver(), 0);
    return () => clearTimeout(timer);
  }, []);
  const asked = useSettled(text.trim() === '' ? null : text.trim(), REST_MS);
  const { body, fault } = useRead<FindView>(
    asked === null ? null : `/api/v1/find?q=${encodeURIComponent(asked)}`,
    {
      keep: true,
    },
  );
  const found = asked === null ? null : body;
  const marks = new Map(Object.entries(found?.lit ?? {}));
  return (
    <Sheet title="Find" onClose={onClose}>
      <label>
        <span className="block text-slate">What are you looking for? A food, a place, a person, a code.</span>
        <input
          ref={input}
          type="search"
          className="field"
          autoFocus
          data-autofocus
          value={text}
          maxLength={120}
          aria-describedby="found"
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <button
        type="button"
        className="button mt-3"
        aria-pressed={scanning}
        onClick={() => setScanning(!scanning)}
      >
        <ScanLine aria-hidden size={20} /> Scan a label
      </button>
      {scanning && <LabelScan onFound={onClose} />}
      {fault !== '' && <p className="mt-3 text-beet">{fault}</p>}
      {text.trim() === '' && (
        <p className="mt-3 flex flex-wrap gap-2">
          {EXAMPLES.map((words) => (
            <button key={words} type="button" className="button" onClick={() => setText(words)}>
              {words}
            </button>
          ))}
        </p>
      )}
      <div id="found" aria-live="polite">
        {found && (
          <>
            <div className="mt-3">
              <AskedParts text={text} asked={found.asked} onText={setText} />
            </div>
            <p className="mt-3 text-lg">{found.says}</p>
          </>
        )}
      </div>
      {found && found.appliances.length > 0 && (
        <div className="mt-3 flex flex-wrap gap-4">
          {found.appliances.map((appliance) => (
            <figure key={appliance.id}>
              <figcaption className="mb-1 font-heading font-semibold">{appliance.name}</figcaption>
              <MiniKitchen appliance={appliance} marks={marks} lit={new Set(marks.keys())} />
            </figure>
          ))}
        </div>
      )}
      <ul className="mt-3 divide-y divide-line">
        {found?.groups.map(({ key, name, sizes, oldest, where, first }) => (
          <li key={key} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 gap-y-0.5 py-2">
            <p className="min-w-0">
              <b className="font-heading font-semibold">{name}</b> {sizes}
              <span className="block text-[0.9375rem] text-slate">
                {where} · oldest {oldest}
              </span>
            </p>
            <IfMay type="package.take">
              <MainAction view={first} />
            </IfMay>
            <p className="col-span-2 flex flex-wrap items-center gap-2 text-[0.9375rem] text-slate">
              first{' '}
              <button
                type="button"
                className="flex min-h-11 items-center"
                aria-label={sayPackage(first)}
                onClick={() => showPackage(first.code)}
              >
                <Tape food={first.code} detail={first.amount_words} band={first.band} state={first.state} />
              </button>
              <DateButton view={first} />
            </p>
          </li>
        ))}
      </ul>
      {found && found.groups.length > 0 && (
        <Link className="button mt-3" href={`/stock?q=${encodeURIComponent(text.trim())}`} onClick={onClose}>
          {found.more > 0 ? `All of it in Stock, ${found.more} more` : 'Show it in Stock'}
        </Link>
      )}
      {found && found.gone.length > 0 && (
        <section aria-labelledby="gone-lately" className="mt-6">
          <h3 id="gone-lately" className="text-lg">
            Not here any more
          </h3>
          <ul className="divide-y divide-line">
            {found.gone.map(({ code, name, words, command, comes_back }) => (
              <li key={code} className="flex flex-wrap items-center gap-2 py-2">
                <button
                  type="button"
                  className="min-h-11 min-w-0 flex-1 text-left"
                  onClick={() => showPackage(code)}
                >
                  <b className="font-heading font-semibold">{name}</b> {code}
                  <span className="block text-[0.9375rem] text-slate">{words}</span>
                </button>
                {comes_back && (
                  <button type="button" className="button" onClick={() => showPackage(code)}>
                    Put it back
                  </button>
                )}
                <button
                  type="button"
                  className="button"
                  disabled={busy}
                  aria-label={`${name} ${code} never left: undo`}
                  onClick={() => void act({ type: 'ledger.undo', command })}
                >
                  It never left
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Sheet>
  );
}
