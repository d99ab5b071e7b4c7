import {
  type Cut,
  type CutDecided,
  type CutDeed,
  type CutPart,
  type Seen,
  USUAL_ROOM_C,
} from '@/core/model/cut';
import type { DeskView } from '@/services/outage/cutDesk';
import type { Sending } from '../door/doorClient';
import { type RawSeen, toSeen } from '@/services/outage/seenNames';

type Told = Sending['commands'][number];

const withCut = (view: DeskView, id: unknown, change: (cut: Cut) => Cut): DeskView => ({
  ...view,
  cuts: view.cuts.map((cut) => (cut.id === id ? change(cut) : cut)),
});

function begun(view: DeskView, told: Told): DeskView {
  const parts = (told.parts as { id: string; fill: number; doors: CutPart['doors'] }[]).flatMap(
    (part): CutPart[] => {
      const drawn = view.parts.find(({ id }) => id === part.id);
      if (!drawn) return [];
      const { called, kind } = drawn;
      return [
        { ...part, called, kind, drawn: true, telltale: 'none', roomC: USUAL_ROOM_C, iceKg: 0, waterKg: 0 },
      ];
    },
  );
  const id = String(told.cut);
  if (view.cuts.some((cut) => cut.id === id)) return view;
  const cut: Cut = { id, from: String(told.from), until: null, closedAt: null, parts };
  return { ...view, cut: id, cuts: [cut, ...view.cuts] };
}

function partSet(cut: Cut, told: Told, at: string): Cut {
  const { looked: sawIt = false, ...set } = told.part as Partial<CutPart> & { id: string; looked?: boolean };
  const known = cut.parts.find(({ id }) => id === set.id);
  const part = sawIt || set.telltale !== known?.telltale ? { ...set, telltaleAt: at } : set;
  if (told.off === true) return { ...cut, parts: cut.parts.filter(({ id }) => id !== part.id) };
  if (known) return { ...cut, parts: cut.parts.map((one) => (one === known ? { ...known, ...part } : one)) };
  const blank = {
    called: 'Cool box',
    kind: 'fridge' as const,
    drawn: false,
    fill: 0.5,
    doors: 'unknown' as const,
  };
  const more = { telltale: 'none' as const, roomC: USUAL_ROOM_C, iceKg: 0, waterKg: 0 };
  return { ...cut, parts: [...cut.parts, { ...blank, ...more, ...part }] };
}

function looked(view: DeskView, told: Told, at: string): DeskView {
  const ids = told.packages as string[];
  const before = new Map(view.seen.map((one) => [one.package, one]));
  const fresh = ids.map((id) => {
    const old = before.get(id);
    const seen: Seen = told.seen === undefined ? (old?.seen ?? {}) : toSeen((told.seen ?? {}) as RawSeen);
    const moved = old?.movedTo ?? null;
    const movedTo =
      told.to === undefined
        ? moved
        : told.to === null
          ? moved && { ...moved, backAt: at }
          : { part: String(told.to), at };
    const seenAt = told.seen === undefined ? old?.at : at;
    return {
      cut: String(told.cut),
      package: id,
      seen,
      movedTo,
      ...(seenAt === undefined ? {} : { at: seenAt }),
    };
  });
  return { ...view, seen: [...view.seen.filter((one) => !ids.includes(one.package)), ...fresh] };
}

function decided(view: DeskView, told: Told, at: string): DeskView {
  const dids = new Map(
    (told.things as { package: string; did: CutDeed }[]).map((one) => [one.package, one.did]),
  );
  const things = view.things.flatMap((thing) => {
    const did = dids.get(thing.id);
    if (!did) return [];
    const { id, code, called, amount, unit, price_minor: priceMinor } = thing;
    return [
      {
        package: id,
        code,
        called,
        amount,
        unit,
        priceMinor,
        did,
        verdict: did === 'refreeze' ? ('refreeze-quality-loss' as const) : did,
        rule: '',
        evidence: '',
      },
    ];
  });
  const done: CutDecided = { id: told.id, cut: String(told.cut), at, things };
  if (view.decided.some(({ id }) => id === done.id)) return view;
  return {
    ...view,
    decided: [...view.decided, done],
    things: view.things.filter(({ id }) => dids.get(id) !== 'discard'),
  };
}

/** One command that waits, as if it were done. What is about something else changes nothing here. */
function apply(view: DeskView, told: Told, at: string): DeskView {
  switch (told.type) {
    case 'cut.begin':
      return begun(view, told);
    case 'cut.time':
      return withCut(view, told.cut, (cut) => ({
        ...cut,
        from: String(told.from),
        until: told.until as string | null,
        closedAt: null,
      }));
    case 'cut.part':
      return withCut(view, told.cut, (cut) => partSet(cut, told, at));
    case 'cut.read': {
      const others = view.readings.filter(({ id }) => id !== told.reading);
      if (told.c === null) return { ...view, readings: others };
      const reading = {
        id: String(told.reading),
        cut: String(told.cut),
        part: String(told.part),
        c: Number(told.c),
      };
      return { ...view, readings: [...others, { ...reading, at: String(told.at ?? at) }] };
    }
    case 'cut.open': {
      const opening = {
        id: String(told.opening),
        cut: String(told.cut),
        part: String(told.part),
        at,
        seconds: 20,
      };
      return { ...view, openings: [...view.openings.filter(({ id }) => id !== opening.id), opening] };
    }
    case 'cut.see':
      return looked(view, told, at);
    case 'cut.judge':
      return decided(view, told, at);
    case 'package.take':
    case 'package.discard':
      return told.amount === undefined || told.amount === null
        ? { ...view, things: view.things.filter(({ id }) => id !== told.package) }
        : view;
    default:
      return view;
  }
}

/**
 * The desk with what waits for an answer counted in, in the order it was told: without a network it goes on as if it were done.
 * The door decides in the end; what it refuses is told then.
 */
export function withPending(view: DeskView, pending: readonly Sending[]): DeskView {
  return pending
    .flatMap(({ commands, toldAt }) =>
      commands.map((told) => [told, new Date(toldAt).toISOString()] as const),
    )
    .reduce((so, [told, at]) => apply(so, told, at), view);
}
