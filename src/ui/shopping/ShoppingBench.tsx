'use client';

import { Printer, Share2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { ShoppingLine } from '@/core/model/kept';
import { sayLine } from '@/core/ledger/shopping/writeShopping';
import type { HaulView } from '@/services/haul/haul';
import type { ShoppingLineView, ShoppingView } from '@/services/shopping/shopping';
import { fetchJson } from '../door/fetchJson';
import { useDoor } from '../door/useDoor';
import { useVocabulary } from '../quickline/useVocabulary';
import { useSay } from '../units/useSay';
import { KitsPanel } from './KitsPanel';
import { LevelsPanel } from './LevelsPanel';
import { readWanted } from './readWanted';
import { ShopOrder } from './ShopOrder';
import { toBench } from './toBench';
import { IfMay } from '../door/IfMay';

/** The shopping list in the order of the shop; beside it what runs low, and why. */
export function ShoppingBench({ view }: { view: ShoppingView }) {
  const router = useRouter();
  const { act, busy, tell } = useDoor();
  const say = useSay();
  const { vocabulary } = useVocabulary();
  const [text, setText] = useState('');
  const [ordering, setOrdering] = useState(false);
  const wanted = useMemo(
    () => (vocabulary && text.trim() !== '' ? readWanted(text, vocabulary) : null),
    [text, vocabulary],
  );
  const write = (line: ShoppingLine): Promise<unknown> => act({ type: 'shopping.write', line });
  const add = async (): Promise<void> => {
    if (!wanted) return;
    // The next one may be typed at once; what is refused comes back.
    setText('');
    if (!(await write({ id: newUuid(), ticked: false, ...wanted })))
      setText((now) => (now === '' ? text : now));
  };
  const ticked = view.lines.filter(({ line }) => line.ticked);
  const bring = async (): Promise<void> => {
    if (!vocabulary) return;
    const haul = await fetchJson<HaulView>('/api/v1/haul').catch((error: Error) => {
      tell(error.message, 'error');
      return null;
    });
    if (haul && (await act(...toBench(ticked, haul, vocabulary)))) router.push('/haul');
  };
  const share = async (): Promise<void> => {
    const open = view.lines.filter(({ line }) => !line.ticked);
    const words = view.groups
      .flatMap(({ id, name }) => {
        const its = open.filter(({ group }) => group === id).map((one) => `- ${one.words}`);
        return its.length === 0 ? [] : [`${name}`, ...its];
      })
      .join('\n');
    try {
      if (typeof navigator.share === 'function') await navigator.share({ title: 'Shopping', text: words });
      else {
        await navigator.clipboard.writeText(words);
        tell('The list is copied: paste it where you like.');
      }
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        tell('This browser would not share it. Print it, or open this page on the phone.', 'error');
    }
  };
  const lineOf = (one: ShoppingLineView) => (
    <li key={one.line.id} className="flex items-center gap-2 py-1">
      <label className="flex min-h-11 min-w-0 flex-1 cursor-pointer items-center gap-3">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-(--deep)"
          checked={one.line.ticked}
          disabled={busy}
          onChange={() => void write({ ...one.line, ticked: !one.line.ticked })}
        />
        <span className="min-w-0">
          <b className={`font-heading font-semibold ${one.line.ticked ? 'line-through' : ''}`}>{one.words}</b>
          <span className="block text-[0.9375rem] text-slate">
            {[one.have, one.last_words].filter((words) => words !== '').join(' ')}
          </span>
        </span>
      </label>
      <button
        type="button"
        className="button px-3"
        disabled={busy || one.line.packs <= 1}
        aria-label={`One less: ${one.words}`}
        onClick={() => void write({ ...one.line, packs: one.line.packs - 1 })}
      >
        −
      </button>
      <button
        type="button"
        className="button px-3"
        disabled={busy}
        aria-label={`One more: ${one.words}`}
        onClick={() => void write({ ...one.line, packs: one.line.packs + 1 })}
      >
        +
      </button>
      <button
        type="button"
        className="button border-transparent px-3"
        disabled={busy}
        aria-label={`Off the list: ${one.words}`}
        onClick={() => void act({ type: 'shopping.clear', lines: [one.line.id] })}
      >
        ✕
      </button>
    </li>
  );
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section aria-labelledby="the-list" className="card p-4">
        <div className="flex flex-wrap items-center gap-2">
          <h2 id="the-list" className="mr-auto text-lg">
            The list
          </h2>
          {view.total_words !== '' && <span className="text-slate">{view.total_words}</span>}
          <button
            type="button"
            className="button"
            aria-pressed={ordering}
            onClick={() => setOrdering(!ordering)}
          >
            Shop order
          </button>
          <a className="button" href="/api/v1/shopping/list" target="_blank" rel="noreferrer">
            <Printer aria-hidden size={18} /> Print
          </a>
          <button type="button" className="button" onClick={() => void share()}>
            <Share2 aria-hidden size={18} /> Share
          </button>
        </div>
        {ordering && (
          <IfMay type="shop.order">
            <ShopOrder order={view.order} />
          </IfMay>
        )}
        <form
          className="mt-3 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void add();
          }}
        >
          <label className="min-w-0 flex-1">
            <span className="block text-slate">What is to be bought? Anything, also what is no food.</span>
            <input
              className="field"
              value={text}
              maxLength={120}
              autoComplete="off"
              placeholder={say('2 x 1 l milk')}
              aria-describedby="wanted"
              onChange={(event) => setText(event.target.value)}
            />
          </label>
          <button type="submit" className="button" data-main="true" disabled={wanted === null}>
            Add
          </button>
        </form>
        <p id="wanted" className="min-h-6 text-[0.9375rem] text-slate" aria-live="polite">
          {wanted && `${say(sayLine(wanted))}${wanted.food === null ? ': no food of the cold store' : ''}`}
        </p>
        {view.lines.length === 0 ? (
          <p className="mt-2">
            Nothing is on the list. Type above, or take over what runs low; what you keep a level of stands
            there by itself.
          </p>
        ) : (
          view.groups.map(({ id, name }) => (
            <div key={id} className="mt-2">
              <h3 className="text-[0.9375rem] font-normal text-slate">{name}</h3>
              <ul className="divide-y divide-line">
                {view.lines.filter(({ group }) => group === id).map(lineOf)}
              </ul>
            </div>
          ))
        )}
        {ticked.length > 0 && (
          <div className="sticky bottom-20 mt-3 flex flex-wrap gap-2 rounded-part bg-snow py-2">
            <button
              type="button"
              className="button"
              data-main="true"
              disabled={busy || !vocabulary}
              onClick={() => void bring()}
            >
              To the bench: {ticked.length} ticked
            </button>
            <button
              type="button"
              className="button"
              disabled={busy}
              onClick={() => void act({ type: 'shopping.clear', lines: ticked.map(({ line }) => line.id) })}
            >
              Only off the list
            </button>
          </div>
        )}
      </section>
      <div className="space-y-4">
        <IfMay type="level.set">
          <LevelsPanel levels={view.levels} vocabulary={vocabulary} />
        </IfMay>
        <IfMay type="kit.set">
          <KitsPanel kits={view.kits} vocabulary={vocabulary} />
        </IfMay>
      </div>
    </div>
  );
}
