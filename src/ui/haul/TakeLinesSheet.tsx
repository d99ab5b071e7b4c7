'use client';

import { Said } from '../units/Said';
import { useMemo, useState } from 'react';
import type { Haul } from '@/core/model/haul';
import type { IntakeLine } from '@/core/model/intakeLine';
import { plainLine } from '@/core/quickline/plainLine';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { readHalf, withHalf } from '@/core/quickline/readHalf';
import { readReceipt } from '@/core/quickline/readReceipt';
import { sayAmount } from '@/core/units/sayAmount';
import type { HaulView } from '@/services/haul/haul';
import { Faults } from '../quickline/Faults';
import type { TakenLine } from './haulIntake';
import { Sheet } from '../door/Sheet';
import { ReceiptPhoto } from './ReceiptPhoto';
import { ReceiptPhotos } from './ReceiptPhotos';
import type { KnownVocabulary } from '../quickline/useVocabulary';

/** A receipt or a list is pasted; each line is shown as understood, what was not stays to be mended. */
export function PasteSheet({
  haul,
  vocabulary,
  onTake,
  onReceipt,
  onTakeOff,
  onClose,
}: {
  haul: Haul;
  vocabulary: KnownVocabulary;
  onTake: (lines: TakenLine[]) => Promise<boolean>;
  /** The photos that the lines were read from are kept with the haul. */
  onReceipt: (photos: readonly File[]) => void;
  onTakeOff: (left: string[]) => void;
  onClose: () => void;
}) {
  const [pasted, setPasted] = useState('');
  const [mended, setMended] = useState<Record<number, string>>({});
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [photos, setPhotos] = useState<readonly File[]>([]);
  const { goods, noFood } = useMemo(() => readReceipt(pasted), [pasted]);
  const read = useMemo(
    () =>
      goods.map((text, at) => {
        const told = readHalf(mended[at] ?? text);
        return { at, told, reading: parseQuickLine(told.text, { ...vocabulary, placedLater: true }) };
      }),
    [goods, mended, vocabulary],
  );
  const taken = read.flatMap(({ at, told, reading }): TakenLine[] =>
    reading.line && !left.has(at) ? [{ line: reading.line, half: told.half, ownFood: reading.ownFood }] : [],
  );
  return (
    <Sheet title="A receipt or a list" onClose={onClose}>
      <div className="space-y-4">
        <ReceiptPhoto
          onRead={(text, photo) => {
            setPhotos([...photos, photo]);
            setPasted(pasted.trim() === '' ? text : `${pasted}\n${text}`);
            setMended({});
            setLeft(new Set());
          }}
        />
        <label className="block">
          <span className="block text-slate">
            Or paste it, or type: one thing a line; totals and shop codes are passed over
          </span>
          <textarea
            className="field min-h-32"
            value={pasted}
            placeholder={'milk 2 l\nquark 3 x 500 g 5.70\nkale 900 g'}
            onChange={(event) => {
              setPasted(event.target.value);
              setMended({});
              setLeft(new Set());
            }}
          />
        </label>
        <ul className="divide-y divide-line">
          {read.map(({ at, told, reading }) => (
            <li key={at} className="py-2">
              <div className="flex items-center gap-2">
                <input
                  className="field"
                  aria-label={`Line ${at + 1}`}
                  aria-invalid={reading.line === null}
                  value={mended[at] ?? told.text}
                  onChange={(event) => setMended({ ...mended, [at]: event.target.value })}
                />
                <button
                  type="button"
                  className="button"
                  data-muted="true"
                  aria-pressed={left.has(at)}
                  onClick={() =>
                    setLeft(
                      left.has(at) ? new Set([...left].filter((one) => one !== at)) : new Set([...left, at]),
                    )
                  }
                >
                  {left.has(at) ? 'take' : 'leave'}
                </button>
              </div>
              {left.has(at) ? (
                <p className="text-slate">left out</p>
              ) : reading.line ? (
                <p className="text-slate">
                  {reading.ownFood
                    ? `${reading.ownFood.name}, a new food of yours`
                    : vocabulary.foods.byId.get(reading.line.food)?.name}
                  , <Said>{sayAmount(reading.line.amount, reading.line.unit)}</Said>
                  {reading.line.packs > 1 ? `, ${reading.line.packs} packs` : ''}
                </p>
              ) : (
                <Faults
                  keys={false}
                  reading={reading}
                  onPick={(line) => setMended({ ...mended, [at]: withHalf(line, told) })}
                />
              )}
            </li>
          ))}
        </ul>
        {noFood.length > 0 && (
          <p className="text-slate">
            No food, passed over: {noFood.map((line) => line.replace(/ @ .*$/, '')).join(', ')}.
          </p>
        )}
        <button
          type="button"
          className="button"
          data-main="true"
          disabled={taken.length === 0}
          onClick={() =>
            void onTake(taken).then((done) => {
              if (!done) return;
              if (photos.length > 0) onReceipt(photos);
              onClose();
            })
          }
        >
          {taken.length === 1 ? 'One line on the bench' : `${taken.length} lines on the bench`}
        </button>
        {haul.receipts && haul.receipts.length > 0 && (
          <section className="space-y-2 border-t border-line pt-4">
            <h3 className="text-lg">Kept with this haul</h3>
            <ReceiptPhotos receipts={haul.receipts} name={haul.name} onTakeOff={onTakeOff} />
          </section>
        )}
      </div>
    </Sheet>
  );
}

/** What is bought as a rule, and the lines of the last haul, one tap each. */
export function UsualSheet({
  view,
  today,
  onTake,
  onClose,
}: {
  view: HaulView;
  today: string;
  onTake: (lines: TakenLine[]) => Promise<boolean>;
  onClose: () => void;
}) {
  const [taken, setTaken] = useState<string[]>([]);
  const take = async (
    key: string,
    told: { food: string; called: string; amount: number; unit: IntakeLine['unit'] },
  ): Promise<void> => {
    const line = plainLine(told, today);
    if (await onTake([{ line, half: false }])) setTaken((all) => [...all, key]);
  };
  const list = (
    title: string,
    rows: readonly { food: string; called: string; amount: number; unit: IntakeLine['unit'] }[],
  ) =>
    rows.length > 0 && (
      <section>
        <h3 className="mb-1 text-lg">{title}</h3>
        <div className="flex flex-wrap gap-2">
          {rows.map((row, at) => (
            <button key={at} type="button" className="button" onClick={() => void take(`${title}${at}`, row)}>
              {taken.includes(`${title}${at}`) ? '✓ ' : ''}
              {row.called} <Said>{sayAmount(row.amount, row.unit)}</Said>
            </button>
          ))}
        </div>
      </section>
    );
  return (
    <Sheet title="The usual" onClose={onClose}>
      <div className="space-y-5">
        {view.usual.length === 0 && view.before === null && (
          <p className="text-slate">
            Nothing was bought yet. After the first hauls, what you buy most stands here.
          </p>
        )}
        {list(
          'Bought most',
          view.usual.map((row) => ({ ...row, called: row.name })),
        )}
        {view.before && list(`As in ${view.before.name}`, view.before.lines)}
      </div>
    </Sheet>
  );
}
