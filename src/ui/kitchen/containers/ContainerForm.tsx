'use client';

import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import { checkContainer } from '@/core/packaging/checkContainer';
import { typedIn } from '@/core/units/typedIn';
import { type Container } from '@/core/model/container';
import { Sheet } from '../../door/Sheet';
import { useDoor } from '../../door/useDoor';
import { Said } from '../../units/Said';
import { useWording } from '../../units/useWording';
import { Tick } from '../../forms/Tick';

type Texts = Record<
  'long' | 'wide' | 'high' | 'innerLong' | 'innerWide' | 'innerHigh' | 'litres' | 'count',
  string
>;

const SIDES = [
  ['long', 'Long'],
  ['wide', 'Wide'],
  ['high', 'High'],
] as const;
const INNER = [
  ['innerLong', 'Long inside'],
  ['innerWide', 'Wide inside'],
  ['innerHigh', 'High inside'],
] as const;
/** A wall on either side, mm, until the inside is measured. */
const WALLS_MM = 6;

interface Fields {
  mm: ReturnType<typeof typedIn>;
  l: ReturnType<typeof typedIn>;
}

function begin(container: Container | null, { mm, l }: Fields): Texts {
  const [long, wide, high] = container?.outerMm.map(mm.show) ?? ['', '', ''];
  const [innerLong, innerWide, innerHigh] = container?.innerMm.map(mm.show) ?? ['', '', ''];
  return {
    long: long ?? '',
    wide: wide ?? '',
    high: high ?? '',
    innerLong: innerLong ?? '',
    innerWide: innerWide ?? '',
    innerHigh: innerHigh ?? '',
    litres: container ? l.show(container.litres) : '',
    count: String(container?.count ?? 1),
  };
}

/** A container's measures: outside for where it fits, inside for what it holds; what is left out is worked out. */
export function ContainerForm({ container, onClose }: { container: Container | null; onClose: () => void }) {
  const { act, busy } = useDoor();
  const wording = useWording();
  const [mm, l] = [typedIn('mm', wording), typedIn('l', wording)];
  const mmOf = (text: string): number => Math.round(mm.read(text));
  const [name, setName] = useState(container?.name ?? '');
  const [texts, setTexts] = useState<Texts>(() => begin(container, { mm, l }));
  const [is, setIs] = useState({
    lid: container?.lid ?? true,
    leakproof: container?.leakproof ?? true,
    rigid: container?.rigid ?? true,
  });
  const outerMm = SIDES.map(([key]) => mmOf(texts[key])) as Container['outerMm'];
  const innerMm = INNER.map(([key], at) =>
    texts[key].trim() === '' ? Math.max(1, (outerMm[at] ?? 0) - WALLS_MM) : mmOf(texts[key]),
  ) as Container['innerMm'];
  const worked = Math.round(innerMm.reduce((product, side) => product * side, 1) / 100_000) / 10;
  const made: Container = {
    id: container?.id ?? '',
    name: name.trim(),
    outerMm,
    innerMm,
    litres: texts.litres.trim() === '' ? worked : Math.round(l.read(texts.litres) * 10) / 10,
    count: Number(texts.count.trim()),
    ...is,
  };
  const begun = name !== '' || Object.values(texts).some((text) => text !== '' && text !== '1');
  const fault = [...outerMm, ...innerMm, made.litres].some((value) => !Number.isFinite(value))
    ? 'Measures are numbers.'
    : checkContainer(made);
  const field = (key: keyof Texts, label: string, hint = '') => (
    <label key={key}>
      <span className="block text-[0.9375rem] text-slate">{label}</span>
      <input
        className="field"
        inputMode="decimal"
        placeholder={hint}
        value={texts[key]}
        onChange={(event) => setTexts((all) => ({ ...all, [key]: event.target.value }))}
      />
    </label>
  );
  return (
    <Sheet title={container ? container.name : 'A container of yours'} onClose={onClose}>
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (fault) return;
          void act({ type: 'container.set', container: { ...made, id: container?.id ?? newUuid() } }).then(
            (answers) => answers && onClose(),
          );
        }}
      >
        <label className="block">
          <span className="block text-slate">Name</span>
          <input
            className="field"
            maxLength={60}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <div className="grid grid-cols-3 gap-2">
          {SIDES.map(([key, label]) => field(key, `${label}, ${mm.unit}`))}
        </div>
        <div className="grid grid-cols-3 gap-2">
          {INNER.map(([key, label], at) => field(key, label, outerMm[at] ? mm.show(innerMm[at] ?? 0) : ''))}
        </div>
        <div className="grid grid-cols-3 gap-2">
          {field('litres', `Holds, ${l.unit}`, Number.isFinite(worked) && worked > 0 ? l.show(worked) : '')}
          {field('count', 'How many')}
        </div>
        {(
          [
            ['lid', 'It has a lid'],
            ['leakproof', 'Nothing leaks out'],
            ['rigid', 'It keeps its shape (a bag does not)'],
          ] as const
        ).map(([key, words]) => (
          <Tick
            key={key}
            checked={is[key]}
            onChange={(checked) => setIs((all) => ({ ...all, [key]: checked }))}
          >
            {words}
          </Tick>
        ))}
        {begun && fault && (
          <p className="text-beet">
            <Said>{fault}</Said>
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          <button type="submit" className="button" data-main="true" disabled={busy || fault !== null}>
            Keep it
          </button>
          {container && (
            <button
              type="button"
              className="button"
              data-danger="true"
              disabled={busy}
              onClick={() =>
                void act({ type: 'container.remove', container: container.id }).then(
                  (answers) => answers && onClose(),
                )
              }
            >
              Not ours any more
            </button>
          )}
        </div>
      </form>
    </Sheet>
  );
}
