'use client';

import { ClipboardPaste, ListPlus, ScanLine } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { counterClock } from '@/core/haul/counterClock';
import type { Haul, HaulLine } from '@/core/haul/haul';
import { hygieneStep, type HygieneStep } from '@/core/haul/hygieneStep';
import { workOrder } from '@/core/haul/workOrder';
import type { ApplianceView } from '@/services/drawing';
import { tapeWords } from '@/core/labels/tapeWords';
import type { HaulPack, HaulView } from '@/services/haul';
import type { HaulPlacesView, PlaceView } from '@/services/haulPlaces';
import { ScanSheet } from '../devices/ScanSheet';
import { usePrinter } from '../devices/usePrinter';
import { useDoor } from '../door/DoorProvider';
import { DoorError, fetchJson, sendCommands } from '../door/sendCommand';
import { useVocabulary } from '../quickline/useVocabulary';
import { HaulHead } from './HaulHead';
import { offerIntake } from './haulIntake';
import { HaulLines } from './HaulLines';
import { LabelCard } from './LabelCard';
import { newLines } from './newLines';
import { PlacesPanel } from './PlacesPanel';
import { PortionBench } from './PortionBench';
import { PutAwayWalk } from './PutAwayWalk';
import { StartHaul } from './StartHaul';
import { PasteSheet, type TakenLine, UsualSheet } from './TakeLinesSheet';
import { useHaul } from './useHaul';
import { useNow } from './useNow';

type Shown = 'paste' | 'usual' | 'scan' | null;
const TABS = [
  ['lines', 'Lines'],
  ['portions', 'Portions'],
  ['places', 'Places'],
] as const;
type Tab = (typeof TABS)[number][0];

/** Packs with the labels of those that wait for their day in the freezer as they will be then. */
function datedByTurn(packs: readonly HaulPack[], { places }: HaulPlacesView): HaulPack[] {
  const later = new Map(
    places.flatMap(({ packages }) => packages.map(({ id, label }) => [id, label] as const)),
  );
  return packs.map((pack) => {
    const label = later.get(pack.id);
    return label ? { ...pack, label, tape: tapeWords(label), to_freeze: false } : pack;
  });
}

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
  const { act, tell, busy } = useDoor();
  const desk = useHaul(first, firstPlaces);
  const printer = usePrinter();
  const { vocabulary, fault } = useVocabulary();
  const { view, places } = desk;
  const haul = view.haul;
  const ticking = view.lines.some(({ timers }) => timers.length > 0);
  const now = useNow(view.now, ticking ? 1000 : 5000);
  const [picked, setPicked] = useState<string | null>(null);
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

  const desks = useRef({ view, vocabulary, haul, now });
  useEffect(() => {
    desks.current = { view, vocabulary, haul, now };
  });

  const { reload } = desk;
  const take = useCallback(
    async (taken: readonly TakenLine[]): Promise<boolean> => {
      const at = desks.current;
      if (!at.haul || !at.vocabulary) return false;
      try {
        const { commands, ids } = newLines(taken, at.haul, at.view, at.vocabulary, at.now);
        await sendCommands(commands);
        void reload().then(() => setPicked(ids.at(-1) ?? null));
        return true;
      } catch (error) {
        if (error instanceof DoorError) tell(error.message, 'error');
        return false;
      }
    },
    [reload, tell],
  );
  const isOpen = haul !== null && vocabulary !== null;
  useEffect(() => {
    if (!isOpen) return;
    offerIntake((line, half) => take([{ line, half }]));
    return () => offerIntake(null);
  }, [isOpen, take]);

  if (fault !== '') return <p className="card p-6 text-beet">{fault}</p>;
  if (!haul) {
    return (
      <>
        <h1 className="mb-3 text-[1.6rem]">Haul</h1>
        <StartHaul
          view={view}
          onBegun={() => {
            void reload();
            setWalking(false);
          }}
        />
      </>
    );
  }
  if (!vocabulary) return <p className="card p-6 text-slate">Fetching the foods …</p>;

  const setHaul = async (changes: Partial<Haul>): Promise<void> => {
    try {
      await sendCommands([{ type: 'haul.set', haul: haul.id, changes }]);
    } catch (error) {
      if (error instanceof DoorError) tell(error.message, 'error');
    }
    await reload();
  };
  const pack = async (lines: readonly { id: string; discard?: boolean }[]): Promise<void> => {
    await desk.settle();
    // What the door knows counts: somebody else may have changed a line.
    const fresh = await fetchJson<HaulView>('/api/v1/haul').catch(() => view);
    const told = lines.flatMap(({ id, discard = false }) => {
      const line = fresh.lines.find((one) => one.id === id);
      return line ? [{ line: id, version: line.version, discard }] : [];
    });
    if (told.length === 0) return;
    const answer = await act({ type: 'haul.pack', haul: haul.id, lines: told });
    const next = await desk.reload();
    if (!answer || !next) return;
    const done = new Set(lines.map(({ id }) => id));
    // Who has gone on to another line meanwhile stays there.
    setPicked((now) => (now !== null && done.has(now) ? null : now));
    setTab('lines');
    const later = await desk.readPlaces().catch(() => places);
    printer.print(
      datedByTurn(next.packs, later)
        .filter((one) => done.has(one.line) && !one.gone)
        .map(({ id, label }) => ({ id, ...label })),
    );
  };
  const drop = async (line: HaulLine): Promise<void> => {
    await desk.settle();
    const version = desks.current.view.lines.find(({ id }) => id === line.id)?.version ?? line.version;
    await act({ type: 'haul.drop', line: line.id, version });
    setPicked(null);
    await reload();
  };
  const place = ({ place: one, zone }: { place: PlaceView; zone: string | null }): void => {
    const line = view.lines.find(({ id }) => id === one.line);
    if (!line) return;
    desk.change({
      ...line,
      parts: line.parts.map((part, at) => (at === one.part ? { ...part, zone } : part)),
    });
  };
  const finish = async (): Promise<void> => {
    await act({ type: 'haul.close', haul: haul.id });
    await reload();
    setWalking(false);
  };
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
            onPlace={place}
            onFinish={() => void finish()}
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
            <section aria-label="Lines" className={`${on('lines')} space-y-3`}>
              <div className="flex gap-2">
                <button type="button" className="button flex-1 px-2" onClick={() => setShown('paste')}>
                  <ClipboardPaste aria-hidden size={18} /> Paste
                </button>
                <button type="button" className="button flex-1 px-2" onClick={() => setShown('scan')}>
                  <ScanLine aria-hidden size={18} /> Scan
                </button>
                <button type="button" className="button flex-1 px-2" onClick={() => setShown('usual')}>
                  <ListPlus aria-hidden size={18} /> Usual
                </button>
              </div>
              {view.lines.length === 0 ? (
                <div className="card space-y-2 p-4">
                  <p className="text-lg">One line for each thing on the counter.</p>
                  <p className="text-slate">
                    Type into the quick line at the foot, such as <b>haddock 1.2 kg / 2, half freeze</b>, or
                    paste, scan or pick.
                  </p>
                  <button
                    type="button"
                    className="button"
                    data-main="true"
                    onClick={() => document.getElementById('quick-line')?.focus()}
                  >
                    Type the first line
                  </button>
                </div>
              ) : (
                <HaulLines
                  open={open}
                  packed={packed}
                  packs={view.packs}
                  chosen={chosen?.line.id ?? null}
                  currency={vocabulary.currency}
                  foodOf={(id) => vocabulary.foods.byId.get(id)}
                  onChoose={(id) => {
                    setPicked(id);
                    goTo('portions');
                  }}
                />
              )}
              {hygiene?.id === 'after-raw' && (
                <div role="status" className="card space-y-2 border-honey p-3">
                  <p>{hygiene.says}</p>
                  <button type="button" className="button" onClick={() => stepDone(hygiene)}>
                    Done
                  </button>
                </div>
              )}
              {open.length > 1 && (
                <button
                  type="button"
                  className="button w-full"
                  disabled={busy}
                  onClick={() => void pack(open.map(({ line }) => ({ id: line.id })))}
                >
                  Label all {open.length} as they are
                </button>
              )}
              {open.length > 0 && (
                <p className="text-[0.9375rem] text-slate">
                  In the order of work: what presses, quick chills, then raw meat last, so that the board is
                  scrubbed once.
                </p>
              )}
            </section>
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
                  onDrop={() => void drop(chosen.line)}
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
        <PasteSheet vocabulary={vocabulary} onTake={take} onClose={() => setShown(null)} />
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
