'use client';

import { Said } from '../units/Said';
import { useState } from 'react';
import {
  addPart,
  broughtFrozen,
  countPacks,
  countPart,
  halve,
  splitAsLast,
  weighPack,
} from '@/core/haul/planLine';
import { checkHaulLine } from '@/core/haul/checkHaulLine';
import type { CounterClock } from '@/core/haul/counterClock';
import type { HaulLine, HaulPart } from '@/core/model/haul';
import type { HygieneStep } from '@/core/haul/hygieneStep';
import type { Food } from '@/core/model/food';
import { packingsFor } from '@/core/portions/packing';
import { portionGrams } from '@/core/portions/portionGrams';
import { gramsOf } from '@/core/portions/packLayout';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import type { HaulView } from '@/services/haul/haul';
import { ScalePanel } from '../devices/ScalePanel';
import type { KnownVocabulary } from '../quickline/useVocabulary';
import { useSay } from '../units/useSay';
import { useUnits } from '../units/useWording';
import { packPrices, sayPrice } from './benchWords';
import { CorrectLine } from './CorrectLine';
import { ClockPanel } from './ClockPanel';
import { DueLine } from './DueLine';
import { PartPanel } from './PartPanel';
import { PlanControls } from './PlanControls';
import { PortionBar } from './PortionBar';
import { PackedList } from './PackedList';
import { PreparationPanel } from './PreparationPanel';

function sayShares(line: HaulLine, food: Food, currency: string): string {
  const prices = packPrices(line);
  const count = countPacks(line);
  const grams = gramsOf(line.amount, line.unit, food.densityKgPerL);
  const plates = grams / portionGrams(food.group, 'usual');
  const each = plates / count;
  const feeds = each >= 0.8 ? `feeds ${Math.round(each)}` : 'less than a plate';
  const money =
    line.priceMinor === null
      ? []
      : [
          `${sayMoney(Math.round(line.priceMinor / count), currency)} a pack`,
          `${sayMoney(Math.round(line.priceMinor / Math.max(1, plates)), currency)} a plate`,
        ];
  const exact = prices.reduce((sum, one) => sum + one, 0);
  return [
    count === 1 ? 'one pack' : `${count} packs`,
    feeds,
    ...money,
    ...(exact === line.priceMinor || line.priceMinor === null ? [] : ['check the price']),
  ].join(' · ');
}

/** The chosen line: its packs, how each form is packed, what it needs first, and when it will be past. */
export function PortionBench({
  line,
  food,
  clock,
  hygiene,
  view,
  vocabulary,
  now,
  busy,
  nextName,
  onChange,
  onPack,
  onDrop,
  onDiscard,
  onHygiene,
}: {
  line: HaulLine;
  food: Food;
  clock: CounterClock;
  hygiene: HygieneStep | null;
  view: HaulView;
  vocabulary: KnownVocabulary;
  now: string;
  busy: boolean;
  nextName: string;
  onChange: (line: HaulLine) => void;
  onPack: () => void;
  onDrop: () => void;
  onDiscard: () => void;
  onHygiene: (step: HygieneStep) => void;
}) {
  const say = useSay();
  const units = useUnits();
  const [chosen, setChosen] = useState(0);
  const [weighing, setWeighing] = useState(false);
  const [correcting, setCorrecting] = useState(false);
  const packed = line.packages !== null;
  const packs = line.parts.flatMap(({ amounts }) => amounts);
  const pack = Math.min(chosen, packs.length - 1);
  const fault = checkHaulLine(line, food, (id) => view.containers.find((one) => one.id === id) ?? null);
  const change = (changes: Partial<HaulLine>): void => onChange({ ...line, ...changes });
  const parts = (next: HaulPart[]): void => change({ parts: next });
  const price = sayPrice(line, view.last_buys[line.food], vocabulary.currency, units);
  const last = view.last_split[line.food];

  const weigh = (grams: number): string => {
    const amount = line.unit === 'ml' ? Math.round(grams / food.densityKgPerL) : grams;
    const next = weighPack(line, pack, amount);
    if (!next)
      return say(
        `${sayAmount(amount, 'g')} does not go: ${sayAmount(line.amount, line.unit)} came in for ${packs.length} packs.`,
      );
    change({ parts: next, byEye: false });
    setChosen(Math.min(pack + 1, packs.length - 1));
    return '';
  };
  if (packed) {
    return (
      <section aria-labelledby="bench-line" className="card space-y-3 p-5">
        <h2 id="bench-line" className="text-2xl">
          {line.called}, <Said>{sayAmount(line.amount, line.unit)}</Said>
        </h2>
        <PortionBar line={line} chosen={pack} onChoose={setChosen} onParts={() => undefined} packed />
        <PackedList packs={view.packs.filter((one) => one.line === line.id)} currency={vocabulary.currency} />
        <p className="text-slate">To change it, undo it in the message or the ledger.</p>
      </section>
    );
  }
  return (
    <section aria-labelledby="bench-line" className="card space-y-2.5 p-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 id="bench-line" className="mr-auto text-2xl">
          {line.called}, <Said>{sayAmount(line.amount, line.unit)}</Said>
        </h2>
        <p className="text-slate">{price}</p>
        <button
          type="button"
          className="date-button min-h-11 text-deep"
          aria-expanded={correcting}
          onClick={() => setCorrecting(!correcting)}
        >
          Correct
        </button>
      </div>
      {correcting && (
        <CorrectLine line={line} food={food} onLine={change} onClose={() => setCorrecting(false)} />
      )}
      <ClockPanel line={line} clock={clock} now={now} onLine={change} onDiscard={onDiscard} />
      {hygiene && (
        <div role="status" className="flex flex-wrap items-center gap-3 rounded-card border border-honey p-3">
          <p className="min-w-0 flex-1">{hygiene.says}</p>
          <button type="button" className="button" onClick={() => onHygiene(hygiene)}>
            Done
          </button>
        </div>
      )}
      <PortionBar line={line} chosen={pack} onChoose={setChosen} onParts={parts} packed={false} />
      <p className="text-slate">
        {sayShares(line, food, vocabulary.currency)}
        {packs.length > 1 && packs.length <= 14 && ' · drag a cut'}
      </p>
      <PlanControls key={line.id} line={line} food={food} onParts={parts} onLine={change} />
      {weighing && (
        <ScalePanel
          pack={pack + 1}
          of={packs.length}
          plan={packs[pack] ?? 0}
          onWeigh={weigh}
          onClose={() => setWeighing(false)}
        />
      )}
      {line.parts.map((part, at) => {
        const from = line.parts.slice(0, at).reduce((sum, { amounts }) => sum + amounts.length, 0);
        const looked =
          pack >= from && pack < from + part.amounts.length ? packs[pack] : Math.max(...part.amounts);
        return (
          <PartPanel
            key={at}
            line={line}
            part={part}
            food={food}
            containers={view.containers}
            chosen={looked ?? 1}
            onPart={(next) => parts(line.parts.map((one, nth) => (nth === at ? next : one)))}
            onCount={line.parts.length > 1 ? (count) => parts(countPart(line, at, count)) : null}
          />
        );
      })}
      <div className="flex flex-wrap gap-2">
        {line.parts.length < 4 && packs.length < line.amount && (
          <button
            type="button"
            className="button"
            onClick={() => {
              const used = line.parts.map(({ packing }) => packing);
              const packing = packingsFor(food).find((id) => !used.includes(id)) ?? 'lump';
              parts(
                addPart(line, {
                  packing,
                  container: null,
                  goes: food.freezeFit === 'no' ? 'fridge' : 'freezer',
                  zone: null,
                }),
              );
            }}
          >
            Another form
          </button>
        )}
        {food.freezeFit !== 'no' && line.amount > 1 && (
          <button type="button" className="button" onClick={() => parts(halve(line, food))}>
            Half to the fridge
          </button>
        )}
        {last && (
          <button
            type="button"
            className="button"
            onClick={() => change({ parts: splitAsLast(line, last), preparation: last.preparation })}
          >
            As the last time
          </button>
        )}
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={line.byEye}
            onChange={(event) => change({ byEye: event.target.checked })}
          />
          by eye
        </label>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={line.start.frozen ?? false}
            onChange={(event) => change(broughtFrozen(line, food, event.target.checked))}
          />
          bought frozen
        </label>
        {line.unit !== 'pc' && !weighing && (
          <button type="button" className="button" onClick={() => setWeighing(true)}>
            Weigh
          </button>
        )}
      </div>
      <PreparationPanel line={line} food={food} now={now} onLine={change} />
      <DueLine line={line} food={food} vocabulary={vocabulary} />
      {fault && (
        <p role="alert" className="font-semibold text-beet">
          <Said>{fault.says}</Said>
        </p>
      )}
      <div className="sticky bottom-[3.75rem] z-20 -mx-4 -mb-4 flex flex-wrap items-center gap-2 rounded-b-card border-t border-line bg-snow px-4 py-2.5 sm:bottom-16 lg:bottom-0">
        <button
          type="button"
          className="button"
          data-main="true"
          disabled={busy || fault !== null || clock.level === 'over'}
          onClick={onPack}
        >
          Label {packs.length === 1 ? 'it' : packs.length} and go on
        </button>
        <button type="button" className="button" data-muted="true" disabled={busy} onClick={onDrop}>
          Off the bench
        </button>
        <p className="hidden text-slate sm:block">{nextName}</p>
      </div>
    </section>
  );
}
