'use client';

import { useMemo, useState } from 'react';
import { sayPlainDate } from '@/core/calendar/sayDate';
import { LUMP_COLOURS, type LumpColour } from '@/core/lump/rankLump';
import type { Wrap } from '@/core/model/history';
import { aboutAge } from '@/core/quickline/aboutAge';
import { typedAmount } from '@/core/units/typedAmount';
import type { LumpAnswer, LumpOffer, LumpView } from '@/services/lump/lump';
import { useAsk } from '../door/useRead';
import { useDoor } from '../door/useDoor';
import { useSettled } from '../door/useSettled';
import { Choice } from '../forms/Choice';
import { beginLine } from '../quickline/beginLine';
import { useSay } from '../units/useSay';
import { useUnits } from '../units/useWording';
import { LumpOffers } from './LumpOffers';
import { OneOf } from './OneOf';

const SIZES = [
  ['150 g', 'an egg, a fist of a child'],
  ['300 g', 'a fist'],
  ['600 g', 'two fists'],
  ['1.2 kg', 'a loaf'],
  ['2.5 kg', 'a small bird'],
] as const;
const WRAPS = [
  ['zip-bag', 'zip bag'],
  ['loose-bag', 'loose bag'],
  ['vacuum', 'vacuum bag'],
  ['foil', 'foil'],
  ['paper', 'paper'],
  ['tub', 'tub or pot'],
  ['jar', 'jar'],
] as const satisfies readonly (readonly [Wrap, string])[];
const FROSTS = [
  ['none', 'no frost'],
  ['some', 'some frost'],
  ['much', 'much frost'],
] as const;
/** Minutes, as far as anybody can say; nobody knows: too long for what spoils (L4). */
const OUT = [
  ['0', 'it lay in the cold'],
  ['15', 'about a quarter of an hour'],
  ['60', 'about an hour'],
  ['1440', 'nobody knows'],
] as const;
const REST_MS = 200;

/** A nameless lump: what can be seen of it on the left, what it may be on the right. */
export function LumpBench({ view }: { view: LumpView }) {
  const { act } = useDoor();
  const say = useSay();
  const units = useUnits();
  const [nameless, setNameless] = useState('');
  const [size, setSize] = useState('');
  const [colour, setColour] = useState<LumpColour | null>(null);
  const [wrap, setWrap] = useState<Wrap | null>(null);
  const [zone, setZone] = useState('');
  const [frost, setFrost] = useState<(typeof FROSTS)[number][0] | null>(null);
  const [out, setOut] = useState<(typeof OUT)[number][0] | null>(null);
  const [since, setSince] = useState('');
  const itself = view.nameless.find(({ id }) => id === nameless) ?? null;
  const weight = size.trim() === '' ? null : typedAmount(size, 'g', units);
  const age = useMemo(
    () => aboutAge(since.trim(), view.today, view.hemisphere),
    [since, view.today, view.hemisphere],
  );
  const strangeAge = since.trim() !== '' && (age === null || age.on > view.today);
  const nothing =
    weight?.amount == null &&
    colour === null &&
    wrap === null &&
    zone === '' &&
    frost === null &&
    age === null;
  const seen = useSettled(
    nothing
      ? null
      : {
          grams: weight?.amount ?? null,
          colour,
          wrap,
          zone: zone === '' ? null : zone,
          frost,
          since: strangeAge ? null : (age?.on ?? null),
          not: itself?.id ?? null,
        },
    REST_MS,
  );
  const { body, fault } = useAsk<LumpAnswer>('/api/v1/lump', seen, { keep: true });
  const begin = (id: string): void => {
    setNameless(id);
    const one = view.nameless.find((known) => known.id === id);
    if (!one) return;
    setZone(one.zone ?? '');
    if (one.grams !== null) setSize(say(`${one.grams} g`));
  };
  /** What it is called in the books goes, once it is known what it is. */
  const away = itself ? [{ type: 'package.lose', package: itself.id, version: itself.version }] : [];
  const isThis = (offer: LumpOffer): void => {
    const there = zone === '' ? offer.zone : zone;
    const onIt = { package: offer.id, version: offer.version };
    const stood =
      Number(out) === 0
        ? [{ type: 'package.relabel', ...onIt }]
        : [
            { type: 'package.put-back', ...onIt, minutes: Number(out), zone: there },
            { type: 'package.relabel', package: offer.id, version: offer.version + 1 },
          ];
    const commands =
      offer.books === 'here'
        ? stood
        : offer.books === 'lost'
          ? [{ type: 'package.put-back', ...onIt, minutes: Number(out), zone: there }]
          : [{ type: 'ledger.undo', command: offer.left_by, meanwhile: 'ask' }];
    void act(...commands, ...away);
  };
  const cold = view.zones.find(({ id }) => id === zone)?.name ?? '';
  return (
    <div className="grid gap-4 lg:grid-cols-2">
      <section aria-labelledby="seen" className="card space-y-4 p-4">
        <h2 id="seen" className="text-lg">
          What can be seen
        </h2>
        {view.nameless.length > 0 && (
          <Choice
            label="Is it in the books without a name?"
            value={nameless}
            choices={[['', 'No'], ...view.nameless.map(({ id, words }) => [id, say(words)] as const)]}
            onChoose={begin}
          />
        )}
        <div>
          <OneOf
            label="How large?"
            value={size}
            choices={SIZES.map(([weighs, words]) => [say(weighs), `${say(weighs)}: ${words}`])}
            onChoose={(chosen) => setSize(chosen ?? '')}
          />
          <label className="mt-2 block">
            <span className="text-slate">or its weight</span>
            <input
              className="field sm:w-48"
              value={size}
              maxLength={20}
              aria-invalid={weight?.fault ? true : undefined}
              aria-describedby="size-fault"
              onChange={(event) => setSize(event.target.value)}
            />
          </label>
          <p id="size-fault" role="alert" className="text-beet empty:hidden">
            {weight?.fault && say(weight.fault)}
          </p>
        </div>
        <OneOf
          label="What colour?"
          value={colour}
          choices={LUMP_COLOURS.map((one) => [one, one])}
          onChoose={setColour}
        />
        <OneOf label="How is it packed?" value={wrap} choices={WRAPS} onChoose={setWrap} />
        <OneOf label="How much frost is on it?" value={frost} choices={FROSTS} onChoose={setFrost} />
        <Choice
          label="Where does it lie?"
          value={zone}
          choices={[['', 'Nobody knows'], ...view.zones.map(({ id, name }) => [id, name] as const)]}
          onChoose={setZone}
        />
        <OneOf label="How long was it out of the cold?" value={out} choices={OUT} onChoose={setOut} />
        <label className="block">
          <span className="block text-slate">Since about when?</span>
          <input
            className="field"
            value={since}
            maxLength={60}
            placeholder="since spring, 2 months, xmas"
            aria-invalid={strangeAge}
            aria-describedby="since-read"
            onChange={(event) => setSince(event.target.value)}
          />
          <span id="since-read" className="block text-[0.9375rem] text-slate">
            {strangeAge
              ? 'That is no age: say “since spring”, “2 months”, or leave it empty.'
              : age
                ? `about ${sayPlainDate(age.on)}`
                : ''}
          </span>
        </label>
      </section>
      <LumpOffers
        answer={seen === null ? null : body}
        fault={fault}
        inBooks={itself !== null}
        askOut={out === null}
        onThis={isThis}
        onNew={() =>
          beginLine(
            ` ${size.trim()} frozen ${since.trim() === '' ? 'no idea' : since.trim()}${cold === '' ? '' : ` > ${cold.toLowerCase()}`}`,
          )
        }
        onBin={() =>
          itself &&
          void act({
            type: 'package.discard',
            package: itself.id,
            version: itself.version,
            reason: 'unknown',
          })
        }
      />
    </div>
  );
}
