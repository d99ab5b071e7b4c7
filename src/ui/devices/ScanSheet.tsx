'use client';

import { useEffect, useRef, useState } from 'react';
import { codeReader, type Scan } from '@/devices/scanner';
import type { HaulLine, LearnedCode } from '@/core/model/haul';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { plainLine } from '@/core/quickline/plainLine';
import { sayAmount } from '@/core/units/sayAmount';
import { useDoor } from '../door/useDoor';
import { Sheet } from '../door/Sheet';
import { DoorError, fetchJson } from '../door/fetchJson';
import type { KnownVocabulary } from '../quickline/useVocabulary';
import type { TakenLine } from '../haul/haulIntake';
import { scanner } from './standIns';
import { useSay } from '../units/useSay';

const FRAME_MS = 120;
/** Codes to hold before the camera of the stand-in; shops number their own goods from 20 on. */
const SAMPLES = ['2012345000018', '2012345000025', '2012345000032', '20123451'];

type Asked =
  | { kind: 'learn'; code: string }
  | { kind: 'again'; code: string; means: LearnedCode }
  | { kind: 'fault'; says: string }
  | null;

/** The camera: a known code goes onto the bench, an unknown one is learned, one that is there already asks. */
export function ScanSheet({
  lines,
  vocabulary,
  onTake,
  onClose,
}: {
  lines: readonly HaulLine[];
  vocabulary: KnownVocabulary;
  onTake: (lines: TakenLine[]) => Promise<boolean>;
  onClose: () => void;
}) {
  const say = useSay();
  const { act, showPackage } = useDoor();
  const [held, setHeld] = useState('');
  const [seen, setSeen] = useState<string | null>(null);
  const [gone, setGone] = useState(false);
  const [asked, setAsked] = useState<Asked>(null);
  const [done, setDone] = useState('');
  const [typed, setTyped] = useState('');
  const reader = useRef(codeReader());
  const busy = useRef(false);

  const take = async (code: string, means: LearnedCode): Promise<void> => {
    const taken = await onTake([{ half: false, line: plainLine(means, vocabulary.today) }]);
    if (!taken) return;
    setAsked(null);
    setDone(say(`${means.called} ${sayAmount(means.amount, means.unit)} is on the bench (${code}).`));
  };

  const onScan = async (scan: Scan): Promise<void> => {
    setDone('');
    if (scan.kind === 'package') {
      onClose();
      showPackage(scan.code);
      return;
    }
    try {
      const { means } = await fetchJson<{ means: LearnedCode | null }>(
        `/api/v1/codes/${encodeURIComponent(scan.code)}`,
      );
      if (!means) setAsked({ kind: 'learn', code: scan.code });
      else if (lines.some((line) => line.food === means.food && line.called === means.called)) {
        setAsked({ kind: 'again', code: scan.code, means });
      } else await take(scan.code, means);
    } catch (error) {
      setAsked({ kind: 'fault', says: error instanceof DoorError ? error.message : 'That did not work.' });
    }
  };
  const heard = useRef(onScan);
  useEffect(() => {
    heard.current = onScan;
  });

  useEffect(() => {
    const timer = setInterval(() => {
      const frame = scanner.frame();
      setSeen(frame.code);
      const scan = reader.current.see(frame);
      if (!scan || busy.current) return;
      busy.current = true;
      void heard.current(scan).finally(() => (busy.current = false));
    }, FRAME_MS);
    return () => {
      clearInterval(timer);
      scanner.hold(null);
    };
  }, []);

  const reading = typed.trim() === '' ? null : parseQuickLine(typed, vocabulary);
  const learn = async (code: string): Promise<void> => {
    if (!reading?.line) return;
    const { food, called, amount, unit } = reading.line;
    const means = { food, called, amount, unit };
    if (!(await act({ type: 'code.learn', code, means }))) return;
    setTyped('');
    await take(code, means);
  };
  const hold = (code: string): void => {
    setHeld(code);
    scanner.hold(code === '' ? null : code);
  };
  return (
    <Sheet title="Scan" onClose={onClose}>
      <div className="space-y-4">
        <div
          role="img"
          aria-label={
            gone
              ? 'The camera does not answer'
              : seen
                ? `The camera sees ${seen}`
                : 'The camera looks for a code'
          }
          className="grid h-32 place-items-center rounded-card border-2 border-ink bg-strip font-heading text-xl text-[#fbfdfc]"
        >
          <span className={seen ? '' : 'opacity-70 blur-[1px]'}>
            {gone ? 'no picture' : (seen ?? '· · ·')}
          </span>
        </div>
        <p role="status" className="min-h-6">
          {gone
            ? 'The camera does not answer. Type the line instead; nothing is lost.'
            : done || 'Hold a code before it. Two alike in a row count.'}
        </p>
        {asked?.kind === 'fault' && (
          <p role="alert" className="text-beet">
            {asked.says}
          </p>
        )}
        {asked?.kind === 'again' && (
          <div
            role="alertdialog"
            aria-label="Scanned twice"
            className="space-y-2 rounded-card border border-honey p-3"
          >
            <p>
              <b className="font-heading">{asked.means.called}</b> is on the bench already.
            </p>
            <div className="flex flex-wrap gap-2">
              <button type="button" className="button" data-main="true" onClick={() => setAsked(null)}>
                It is the same one
              </button>
              <button type="button" className="button" onClick={() => void take(asked.code, asked.means)}>
                One more of it
              </button>
            </div>
          </div>
        )}
        {asked?.kind === 'learn' && (
          <form
            className="space-y-2 rounded-card border border-line p-3"
            onSubmit={(event) => {
              event.preventDefault();
              void learn(asked.code);
            }}
          >
            <label className="block">
              <span className="block">
                {asked.code} is new here. <span className="text-slate">What is it, and how much?</span>
              </span>
              <input
                className="field"
                value={typed}
                placeholder="quark 500 g"
                onChange={(event) => setTyped(event.target.value)}
              />
            </label>
            {reading && !reading.line && (
              <p role="alert" className="text-beet">
                {reading.faults[0]?.says}
              </p>
            )}
            <button type="submit" className="button" data-main="true" disabled={!reading?.line}>
              Learn it and take it
            </button>
          </form>
        )}
        <details open>
          <summary className="min-h-11 cursor-pointer py-2 text-slate">Play the stand-in</summary>
          <div className="flex flex-wrap items-end gap-2">
            <label>
              <span className="block text-[0.9375rem] text-slate">held before the camera</span>
              <input
                className="field w-48"
                list="codes-to-hold"
                value={held}
                onChange={(event) => hold(event.target.value)}
              />
            </label>
            <datalist id="codes-to-hold">
              {SAMPLES.map((code) => (
                <option key={code} value={code} />
              ))}
            </datalist>
            <button type="button" className="button" onClick={() => hold('')}>
              Take it away
            </button>
            <button
              type="button"
              className="button"
              onClick={() => {
                if (gone) scanner.plug();
                else scanner.unplug();
                setGone(!gone);
              }}
            >
              {gone ? 'Plug it in' : 'Unplug it'}
            </button>
          </div>
        </details>
      </div>
    </Sheet>
  );
}
