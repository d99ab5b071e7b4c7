'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState, useSyncExternalStore, useTransition } from 'react';
import { v4 as newUuid } from 'uuid';
import { UNSAID_AGES, type UnsaidAge } from '@/core/quickline/unsaidAge';
import { AGE_ASKED } from '@/core/quickline/whenUnsaid';
import { readList } from '@/core/quickline/readReceipt';
import type { AppliancePlan } from '@/services/kitchen/kitchenPlan';
import type { PackageView } from '@/services/stock/packageView';
import { useDoor } from '../door/useDoor';
import { useRead } from '../door/useRead';
import { DateButton } from '../package/DateButton';
import { useVocabulary } from '../quickline/useVocabulary';
import { Tape } from '../tape/Tape';
import { AgeChoice } from './AgeChoice';
import { AsideLines } from './AsideLines';
import { FillLabels } from './FillLabels';
import { FillLine } from './FillLine';
import { FillZones } from './FillZones';
import { type AsideLine, changeShelf, noShelf, onShelf, presentShelf } from './fillShelf';
import { type FilledLine, readFilled, wantsLabel } from './storeFilled';

/** Lines that go through the door at once. */
const AT_ONCE = 50;
const MOST_SHOWN = 100;

/** Moving in what is there already: zone by zone, one line a thing. It may be closed half way and gone on with. */
export function FirstFill({ appliances }: { appliances: AppliancePlan[] }) {
  const { act, busy, tell } = useDoor();
  const router = useRouter();
  const [, startRefresh] = useTransition();
  const [last, setLast] = useState<{ ids: string[]; says: string } | null>(null);
  const { vocabulary, fault } = useVocabulary();
  const shelf = useSyncExternalStore(onShelf, presentShelf, noShelf);
  const [progress, setProgress] = useState('');
  const zones = appliances.flatMap(({ drawing, zones: its }) =>
    its.map((zone) => ({ ...zone, of: drawing.name })),
  );
  const at = Math.max(
    0,
    zones.findIndex(({ id }) => id === shelf.zone),
  );
  const zone = zones[at];
  const age = shelf.ages[zone?.id ?? ''] ?? null;
  const filling = useMemo(() => vocabulary && { ...vocabulary, unsaidAge: age }, [vocabulary, age]);
  const [waiting, setWaiting] = useState<{ zone: string; lines: string[] } | null>(null);
  const { body } = useRead<{ packages: PackageView[] }>(
    zone ? `/api/v1/stock?zone=${zone.id}&limit=${MOST_SHOWN}` : null,
    { keep: true },
  );
  if (!zone) {
    return (
      <section className="card mx-auto max-w-2xl p-6">
        <h1 className="text-xl">First the fridge and the freezer</h1>
        <p className="mt-2 mb-4">
          Nothing can be put away yet: pick the shapes of what keeps your food cold.
        </p>
        <Link href="/move-in" className="button" data-main="true">
          Pick the shapes
        </Link>
      </section>
    );
  }
  const counts = new Map(zones.map(({ id, packages }) => [id, packages]));
  const setZone = (id: string): void => changeShelf(() => ({ zone: id }));
  const setText = (draft: string): void => changeShelf(() => ({ draft }));
  const keepAside = (text: string, says: string): AsideLine => {
    const line = { id: newUuid(), text, zone: zone.id, says };
    changeShelf(({ aside }) => ({ aside: [...aside, line] }));
    return line;
  };
  /** Stores lines; what the door refuses is kept aside with its reason. */
  const store = async (filled: readonly FilledLine[], asides = true): Promise<boolean> => {
    const { sendCommands } = await import('../door/sendCommands');
    let answers;
    try {
      answers = await sendCommands(filled.flatMap(({ commands }) => commands));
    } catch (error) {
      const says = error instanceof Error ? error.message : 'It was not stored. Try again.';
      if (asides) for (const { reading } of filled) keepAside(reading.text, says);
      return false;
    }
    startRefresh(() => router.refresh());
    const stored = answers.filter(({ type }) => type === 'haul.store');
    const codesOf = (answer: (typeof stored)[number]): string[] => answer.packages.map(({ code }) => code);
    const wanting = stored.filter((_, nth) => wantsLabel(filled[nth], zone));
    changeShelf((now) => ({
      codes: [...now.codes, ...stored.flatMap(codesOf)],
      wanting: [...now.wanting, ...wanting.flatMap(codesOf)],
    }));
    setLast({ ids: answers.map(({ id }) => id).reverse(), says: answers.map(({ says }) => says).join(' ') });
    return true;
  };
  const storeOne = (filled: FilledLine): void => {
    setText('');
    void store([filled]);
  };
  const storeMany = async (pasted: string[], unsaidAge = age): Promise<void> => {
    if (!vocabulary) return;
    const known = { ...vocabulary, unsaidAge };
    const read = readList(pasted.join('\n')).map((line) => readFilled(line, zone.id, known));
    if (
      unsaidAge === null &&
      read.some(({ reading }) => reading.faults.some(({ says }) => says === AGE_ASKED))
    ) {
      setWaiting({ zone: zone.id, lines: pasted });
      return;
    }
    const good = read.filter(({ fault: wrong, commands }) => wrong === '' && commands.length > 0);
    for (const bad of read.filter((one) => !good.includes(one)))
      keepAside(bad.reading.text, bad.fault || 'It was not understood.');
    let stored = 0;
    for (let from = 0; from < good.length; from += AT_ONCE) {
      const part = good.slice(from, from + AT_ONCE);
      setProgress(`${from} of ${good.length} lines are in …`);
      if (await store(part, part.length === 1)) stored += part.length;
      // One that is refused keeps none of the others out: then they go in one by one.
      else if (part.length > 1) for (const one of part) if (await store([one])) stored += 1;
    }
    setProgress('');
    tell(
      read.length === stored
        ? `All ${stored} lines are in ${zone.name}.`
        : `${stored} of ${read.length} lines are in ${zone.name}; the others are kept aside, each with what is wrong.`,
    );
  };
  const chooseAge = (chosen: UnsaidAge): void => {
    changeShelf(({ ages }) => ({ ages: { ...ages, [zone.id]: chosen } }));
    if (waiting?.zone !== zone.id) return;
    setWaiting(null);
    void storeMany(waiting.lines, chosen);
  };
  const packages = body?.packages ?? [];
  return (
    <div className="mx-auto max-w-6xl">
      <h1 className="text-[1.6rem]">What is there already</h1>
      <p className="mb-4 text-slate">
        Zone by zone with the door open. A date nobody knows is taken as early as it can be; you may stop half
        way.
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-[15rem_minmax(0,1fr)]">
        <FillZones appliances={appliances} chosen={zone.id} counts={counts} onChoose={setZone} />
        <div className="space-y-4">
          <section className="card p-5" aria-label={`${zone.of}, ${zone.name}`}>
            <div className="mb-3 flex flex-wrap items-baseline justify-between gap-x-4">
              <h2 className="text-xl">
                {zone.name} <span className="font-text text-base font-normal text-slate">{zone.of}</span>
              </h2>
              <button
                type="button"
                className="button"
                disabled={at === zones.length - 1}
                onClick={() => setZone(zones[at + 1]?.id ?? zone.id)}
              >
                {zones[at + 1] ? `Next: ${zones[at + 1]?.name}` : 'That was the last zone'}
              </button>
            </div>
            {fault !== '' && <p className="text-beet">{fault}</p>}
            <AgeChoice
              age={age}
              waiting={waiting?.zone === zone.id ? waiting.lines.length : 0}
              onChoose={chooseAge}
            />
            <FillLine
              key={zone.id}
              text={shelf.draft}
              zone={zone.id}
              zoneName={zone.name}
              vocabulary={filling}
              onText={setText}
              onStore={storeOne}
              onMany={(lines) => void storeMany(lines)}
              onAge={(key) => chooseAge(UNSAID_AGES[Number(key) - 1] ?? 'no-idea')}
              onNext={() => setZone(zones[at + 1]?.id ?? zone.id)}
              onAside={({ reading, fault: says }) => {
                keepAside(reading.text, says || 'Kept aside.');
                setText('');
              }}
            />
            {progress !== '' && <p role="status">{progress}</p>}
            {last && (
              <p className="flex flex-wrap items-center gap-3">
                <span role="status">{last.says}</span>
                <button
                  type="button"
                  className="button"
                  disabled={busy}
                  onClick={() => {
                    setLast(null);
                    void act(...last.ids.map((command) => ({ type: 'ledger.undo', command })));
                  }}
                >
                  Undo
                </button>
              </p>
            )}
            {packages.length > 0 && (
              <ul className="mt-2 divide-y divide-line border-t border-line">
                {packages.map((view) => (
                  <li key={view.id} className="flex flex-wrap items-center gap-x-3 py-1">
                    <Tape
                      food={view.food.name}
                      detail={view.amount_words}
                      band={view.band}
                      state={view.state}
                    />
                    <span className="text-slate">{view.code}</span>
                    <DateButton view={view} />
                  </li>
                ))}
              </ul>
            )}
          </section>
          <AsideLines
            lines={shelf.aside}
            onMend={(line) => {
              changeShelf(({ aside }) => ({
                aside: aside.filter(({ id }) => id !== line.id),
                draft: line.text,
                zone: line.zone,
              }));
            }}
          />
          <FillLabels codes={shelf.codes} wanting={shelf.wanting} />
        </div>
      </div>
    </div>
  );
}
