'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import {
  type ReactNode,
  useCallback,
  useEffect,
  useEffectEvent,
  useMemo,
  useRef,
  useState,
  useTransition,
} from 'react';
import type { SecondLook } from './secondLook';
import type { DoorAnswer, NewCommand } from './doorClient';
import { DoorError } from './fetchJson';
import type { Toast } from './Toasts';
import type { Wording } from '@/core/units/wording';
import { WordingContext } from '../units/useWording';
import { type House, HouseContext } from './houseContext';
import { askACook } from './IfMay';
import { type Door, DoorContext } from './useDoor';

const PackageSheet = dynamic(() => import('../package/PackageSheet').then((module) => module.PackageSheet));
const ZoneSheet = dynamic(() => import('../map/ZoneSheet').then((module) => module.ZoneSheet));
const TrailSheet = dynamic(() => import('../package/DateTrail').then((module) => module.TrailSheet));
const SecondLookSheet = dynamic(() => import('./SecondLookSheet').then((module) => module.SecondLookSheet));
const Toasts = dynamic(() => import('./Toasts').then((module) => module.Toasts), { ssr: false });
const LabelSheet = dynamic(() => import('../labels/LabelSheet').then((module) => module.LabelSheet));

const ProofSheet = dynamic(() => import('../keys/ProofSheet').then((module) => module.ProofSheet), {
  ssr: false,
});

/** What sends commands and keeps them until they are answered. */
const loadOffice = () => import('./sendCommands');

/** What lies over the page. */
type Open =
  | { kind: 'package'; code: string }
  | { kind: 'zone'; id: string; name: string }
  | { kind: 'labels'; codes: string[] }
  | { kind: 'trail'; code: string; full: string }
  | null;

const TOAST_MS = 14_000;
const PATIENCE_MS = 2500;
/** After these a package wants a label, or another one. */
const LABELLED = new Set([
  'haul.store',
  'package.split',
  'package.merge',
  'package.relabel',
  'package.correct',
  'package.prepare',
]);

/** What was done, in one message: both of two, the first of many. */
function sayAnswers(answers: readonly DoorAnswer[]): string {
  const [first, ...more] = answers;
  if (!first) return 'Done.';
  if (more.length === 0 || first.type === 'haul.away') return first.says;
  return more.length === 1 ? `${first.says} ${more[0]?.says}` : `${first.says} And ${more.length} more.`;
}

/** A tick on a list, or what was seen on a walk, is its own answer and its own undo. */
const isQuiet = ({ type, to }: NewCommand): boolean =>
  type === 'shopping.write' ||
  type === 'cut.prepare' ||
  type === 'drill.play' ||
  (type === 'cut.see' && to === undefined);

/** An undo asks where the package was meanwhile, where that matters. */
const asked = (command: NewCommand): NewCommand =>
  command.type === 'ledger.undo' ? { meanwhile: 'ask', ...command } : command;

export function DoorProvider({
  wording,
  house,
  children,
}: {
  wording: Wording;
  house: House;
  children: ReactNode;
}) {
  const router = useRouter();
  const [toasts, setToasts] = useState<Toast[]>([]);
  const [open, setOpen] = useState<Open>(null);
  const [looking, setLooking] = useState<SecondLook | null>(null);
  const [sending, setSending] = useState(false);
  const [refreshing, startRefresh] = useTransition();
  const nextToast = useRef(1);

  const dismiss = useCallback((id: number) => setToasts((all) => all.filter((toast) => toast.id !== id)), []);

  const addToast = useCallback(
    (toast: Omit<Toast, 'id'>, stays = false) => {
      const id = nextToast.current++;
      // What was refused is never pushed out by what was done.
      setToasts((all) => {
        const done = all.filter(({ kind }) => kind !== 'error').slice(-2);
        return [...all.filter((one) => one.kind === 'error' || done.includes(one)), { ...toast, id }];
      });
      if (!stays) setTimeout(() => dismiss(id), TOAST_MS);
    },
    [dismiss],
  );

  const tell = useCallback(
    (text: string, kind: 'done' | 'error' = 'done') => addToast({ text, kind, undo: [], labels: [] }),
    [addToast],
  );

  const answeredLate = useEffectEvent((says: string, failed: boolean) => {
    // Who told it may be away by now: a refusal stays until somebody has seen it.
    if (failed) {
      const text = `What you told it before was refused: ${says}`;
      addToast({ text, kind: 'error', undo: [], labels: [] }, true);
    } else tell(`${says} (told before, answered now)`);
    startRefresh(() => router.refresh());
  });
  // Fetched as soon as the page lives, so that it is there when the network is not.
  useEffect(() => {
    const office = loadOffice().then(({ keepUnanswered }) => keepUnanswered(answeredLate));
    return () => void office.then((close) => close());
  }, []);

  const act = useCallback(
    async (...commands: NewCommand[]) => {
      if (commands.some(({ type }) => house.refused.includes(type))) {
        tell(askACook(house.cooks), 'error');
        return null;
      }
      setSending(true);
      // What is not answered soon waits by itself: the next thing may be told meanwhile.
      const free = setTimeout(() => setSending(false), PATIENCE_MS);
      try {
        const { sendCommands } = await loadOffice();
        const answers = await sendCommands(commands.map(asked));
        if (!commands.every(isQuiet))
          addToast({
            text: sayAnswers(answers),
            kind: 'done',
            undo: commands.some(({ type }) => type === 'ledger.undo')
              ? []
              : answers.map(({ id }) => id).reverse(),
            labels: answers
              .filter(({ type }) => LABELLED.has(type))
              .flatMap(({ packages }) => packages.filter(({ here }) => here).map(({ code }) => code)),
          });
        startRefresh(() => router.refresh());
        return answers;
      } catch (error) {
        const { secondLook } = await import('./secondLook');
        const look = secondLook(error, commands);
        if (look) setLooking(look);
        else tell(error instanceof Error ? error.message : 'That did not work.', 'error');
        if (error instanceof DoorError && error.code === 'stale') startRefresh(() => router.refresh());
        return null;
      } finally {
        clearTimeout(free);
        setSending(false);
      }
    },
    [addToast, house, router, tell],
  );

  const showPackage = useCallback((code: string) => setOpen({ kind: 'package', code }), []);
  const showZone = useCallback((id: string, name: string) => setOpen({ kind: 'zone', id, name }), []);
  const showLabels = useCallback((codes: string[]) => setOpen({ kind: 'labels', codes }), []);
  const showTrail = useCallback((code: string, full: string) => setOpen({ kind: 'trail', code, full }), []);
  const close = useCallback(() => setOpen(null), []);

  const door = useMemo<Door>(
    () => ({ act, tell, showPackage, showZone, showLabels, showTrail, busy: sending || refreshing }),
    [act, tell, showPackage, showZone, showLabels, showTrail, sending, refreshing],
  );

  return (
    <HouseContext value={house}>
      <WordingContext value={wording}>
        <DoorContext value={door}>
          {children}
          {open?.kind === 'package' && <PackageSheet code={open.code} onClose={close} />}
          {open?.kind === 'zone' && <ZoneSheet id={open.id} name={open.name} onClose={close} />}
          {open?.kind === 'trail' && <TrailSheet code={open.code} full={open.full} onClose={close} />}
          {looking && (
            <SecondLookSheet
              look={looking}
              onClose={() => setLooking(null)}
              onAnswer={(commands) => {
                setLooking(null);
                void act(...commands);
              }}
            />
          )}
          {open?.kind === 'labels' && <LabelSheet codes={open.codes} onClose={close} />}
          <ProofSheet />
          <Toasts toasts={toasts} dismiss={dismiss} />
        </DoorContext>
      </WordingContext>
    </HouseContext>
  );
}
