'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { counterClock } from '@/core/haul/counterClock';
import { hygieneStep, type HygieneStep } from '@/core/haul/hygieneStep';
import { workOrder } from '@/core/haul/workOrder';
import type { ApplianceView } from '@/services/kitchen/drawing';
import type { HaulView } from '@/services/haul/haul';
import type { HaulPlacesView } from '@/services/haul/haulPlaces';
import { ScanSheet } from '../devices/ScanSheet';
import { usePrinter } from '../devices/usePrinter';
import { useDoor } from '../door/useDoor';
import { sendCommands } from '../door/sendCommands';
import { useVocabulary } from '../quickline/useVocabulary';
import { datedByTurn } from './datedByTurn';
import { HaulHead } from './HaulHead';
import { offerIntake } from './haulIntake';
import { LabelCard } from './LabelCard';
import { LinesColumn } from './LinesColumn';
import { PlacesPanel } from './PlacesPanel';
import { PortionBench } from './PortionBench';
import { PutAwayWalk } from './PutAwayWalk';
import { StartHaul } from './StartHaul';
import { PasteSheet, UsualSheet } from './TakeLinesSheet';
import { useBenchWork } from './useBenchWork';
import { useHaul } from './useHaul';
import { useNow } from './useNow';
import { IfMay } from '../door/IfMay';

type Shown = 'paste' | 'usual' | 'scan' | null;
const TABS = [
  ['lines', 'Lines'],
  ['portions', 'Portions'],
  ['places', 'Places'],
] as const;
type Tab = (typeof TABS)[number][0];

/** The intake bench: lines on the left, the chosen line's portions in the middle, places and labels on the right. */
export function HaulBench({
  first,
  firstPlaces,
  appliances,
}: {
  first: HaulView;
  firstPlaces: HaulPlacesView;
  appliances: ApplianceView[];
}) {
  const { busy } = useDoor();
  const desk = useHaul(first, firstPlaces);
  const printer = usePrinter();
  const { vocabulary, fault, renew } = useVocabulary();
  const { view, places } = desk;
  const haul = view.haul;
  const ticking = view.lines.some(({ timers }) => timers.length > 0);
  const now = useNow(view.now, ticking ? 1000 : 5000);
  const [picked, setPicked] = useState<string | null>(null);
  const byHand = useRef(0);
  const [walking, setWalking] = useState(false);
  const [shown, setShown] = useState<Shown>(null);
  const [tab, setTab] = useState<Tab>('lines');

  const ordered = useMemo(() => {
    if (!vocabulary || !haul) return [];
    return view.lines.flatMap((line) => {
      const food = vocabulary.foods.byId.get(line.food);
      return food ? [{ line, food, clock: counterClock(line, food, now, haul.hot) }] : [];
    });
  }, [view.lines, vocabulary, haul, now]);
  const open = useMemo(() => workOrder(ordered.filter(({ line }) => line.packages === null)), [ordered]);
  const packed = view.lines.filter(({ packages }) => packages !== null);
  const chosen = ordered.find(({ line }) => line.id === picked) ?? open[0] ?? null;
  const packs = useMemo(() => datedByTurn(view.packs, places), [view.packs, places]);
  const waiting = view.packs.filter((pack) => pack.waiting).length;

  const { reload } = desk;
  const { take, setHaul, keepReceipt, pack, drop, place, finish } = useBenchWork({
    desk,
    vocabulary,
    renew,
    now,
    print: printer.print,
    byHand,
    onTaken: setPicked,
    onPacked: (done) => {
      // Who has gone on to another line meanwhile stays there.
      setPicked((at) => (at !== null && done.has(at) ? null : at));
      setTab('lines');
    },
  });
  const isOpen = haul !== null && vocabulary !== null;
  useEffect(() => {
    if (!isOpen) return;
    offerIntake((taken) => take([taken]));
    return () => offerIntake(null);
  }, [isOpen, take]);

  if (fault !== '') return <p className="card p-6 text-beet">{fault}</p>;
  if (!haul) {
    return (
      <>
        <h1 className="mb-3 text-[1.6rem]">Haul</h1>
        <IfMay type="haul.begin">
          <StartHaul
            view={view}
            onBegun={() => {
              void reload();
              setWalking(false);
            }}
          />
        </IfMay>
      </>
    );
  }
  if (!vocabulary) return <p className="card p-6 text-slate">Fetching the foods …</p>;

  const hygiene = hygieneStep(ordered, chosen?.line.id ?? null, haul.hygiene);
  const stepDone = (step: HygieneStep): void => void setHaul({ hygiene: [...haul.hygiene, step.id] });
  const rest = open.filter(({ line }) => line.id !== chosen?.line.id);
  const next = rest[0] ? `Next: ${rest[0].line.called}` : '';
  const goTo = (next: Tab): void => {
    setTab(next);
    window.scrollTo({ top: 0 });
  };
  const on = (which: Tab): string => (tab === which ? '' : 'hidden lg:block');

  return (
    <>
      <HaulHead
        haul={haul}
        view={view}
        currency={vocabulary.currency}
        waiting={waiting}
        walking={walking}
        saving={desk.saving}
        onChange={(changes) => void setHaul(changes)}
        onWalk={() => setWalking(!walking)}
      />
      {walking ? (
        <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
          <PutAwayWalk
            view={view}
            places={places.places}
            appliances={appliances}
            onDone={() => Promise.all([reload(), desk.readPlaces().catch(() => undefined)])}
            onTold={(plan) =>
              void sendCommands([{ type: 'haul.set', haul: haul.id, changes: { plan } }])
                .then(reload)
                .catch(() => undefined)
            }
            onPlace={place}
            onFinish={() => void finish().then(() => setWalking(false))}
          />
          <LabelCard desk={printer} packs={packs} />
        </div>
      ) : (
        <>
          <div role="tablist" aria-label="Bench" className="mb-3 flex gap-1 lg:hidden">
            {TABS.map(([id, name]) => (
              <button
                key={id}
                type="button"
                role="tab"
                aria-selected={tab === id}
                data-main={tab === id}
                className="button flex-1"
                onClick={() => goTo(id)}
              >
                {name}
              </button>
            ))}
          </div>
          <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:h-[calc(100dvh-13.75rem)] lg:min-h-[26rem] lg:grid-cols-[19rem_minmax(0,1fr)_19rem] lg:*:max-h-full lg:*:overflow-y-auto">
            <div className={on('lines')}>
              <LinesColumn
                view={view}
                open={open}
                chosen={chosen?.line.id ?? null}
                hygiene={hygiene?.id === 'after-raw' ? hygiene : null}
                vocabulary={vocabulary}
                busy={busy}
                onShow={setShown}
                onChoose={(id) => {
                  byHand.current += 1;
                  setPicked(id);
                  goTo('portions');
                }}
                onHygiene={stepDone}
                onPackAll={() => void pack(open.map(({ line }) => ({ id: line.id })))}
              />
            </div>
            <div className={on('portions')}>
              {chosen ? (
                <PortionBench
                  key={chosen.line.id}
                  line={chosen.line}
                  food={chosen.food}
                  clock={chosen.clock}
                  hygiene={hygiene?.id === 'before-raw' ? hygiene : null}
                  view={view}
                  vocabulary={vocabulary}
                  now={now}
                  busy={busy}
                  nextName={next}
                  onChange={desk.change}
                  onPack={() => void pack([{ id: chosen.line.id }])}
                  onDrop={() => void drop(chosen.line).then(() => setPicked(null))}
                  onDiscard={() => void pack([{ id: chosen.line.id, discard: true }])}
                  onHygiene={stepDone}
                />
              ) : (
                <div className="card space-y-2 p-6">
                  <h2 className="text-2xl">
                    {packed.length > 0 ? 'All is labelled' : 'Nothing on the bench yet'}
                  </h2>
                  <p className="text-slate">
                    {packed.length > 0
                      ? 'Now the walk: what is labelled goes to its zone, a tick each.'
                      : 'Portions, packing and times of the chosen line stand here.'}
                  </p>
                  {packed.length > 0 && (
                    <button
                      type="button"
                      className="button"
                      data-main="true"
                      onClick={() => setWalking(true)}
                    >
                      {waiting > 0 ? `Put away ${waiting}` : 'To the end of the walk'}
                    </button>
                  )}
                </div>
              )}
            </div>
            <div className={`${on('places')} space-y-3`}>
              <PlacesPanel
                places={places}
                appliances={appliances}
                line={chosen?.line.id ?? null}
                onPlace={place}
              >
                <LabelCard desk={printer} packs={packs} />
              </PlacesPanel>
            </div>
          </div>
        </>
      )}
      {shown === 'paste' && (
        <PasteSheet
          haul={haul}
          vocabulary={vocabulary}
          onTake={take}
          onReceipt={(photos) => void keepReceipt(photos)}
          onTakeOff={(receipts) => void setHaul({ receipts })}
          onClose={() => setShown(null)}
        />
      )}
      {shown === 'usual' && (
        <UsualSheet view={view} today={vocabulary.today} onTake={take} onClose={() => setShown(null)} />
      )}
      {shown === 'scan' && (
        <ScanSheet lines={view.lines} vocabulary={vocabulary} onTake={take} onClose={() => setShown(null)} />
      )}
    </>
  );
}
