import type { Hemisphere } from '@/core/calendar/hemisphere';
import Joi from 'joi';
import { addDays } from '@/core/calendar/calendarDate';
import { instantInZone } from '@/core/calendar/instantInZone';
import { sayFullDate } from '@/core/calendar/sayDate';
import { firstOutKey } from '@/core/firstout/firstOutKey';
import { FROSTS, LUMP_COLOURS, type LumpCandidate, type LumpSeen, rankLump } from '@/core/lump/rankLump';
import { WRAPS } from '@/core/model/history';
import type { Package } from '@/core/model/package';
import type { StockRow } from '@/core/stock/stockRow';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readGoneLately } from '@/store/gonePackages';
import { uuid } from '../door/schemas/words';
import { dateSchema, validate } from '../door/validate';
import { viewContext } from '../household/context';
import { placeNames } from '../stock/placeNames';
import { readStockRows } from '../stock/stockRows';

/** One of the things it may be, with what to do about it. */
export interface LumpOffer {
  id: string;
  code: string;
  version: number;
  name: string;
  amount_words: string;
  place: string;
  zone: string | null;
  books: LumpCandidate['books'];
  /** The command by which it left; `null`: it is here. */
  left_by: string | null;
  /** 0 to 100. */
  sure: number;
  sure_words: string;
  reasons: string[];
  /** The id of its photo. */
  photo: string | null;
  date_words: string;
  date: string;
  not_for_eating: boolean;
}

export interface LumpAnswer {
  offers: LumpOffer[];
  stranger_words: string;
  /** The earliest date of all that it may well be: what an unsure one is eaten by. */
  cautious_words: string;
}

export interface LumpView {
  zones: { id: string; name: string }[];
  /** Packages in the books without a name. */
  nameless: {
    id: string;
    code: string;
    version: number;
    words: string;
    zone: string | null;
    grams: number | null;
  }[];
  today: string;
  hemisphere: Hemisphere;
}

const NAMELESS = /nameless|mystery|unknown|unlabell?ed|lump|no name/i;
const GONE_DAYS = 120;
const MOST_GONE = 400;
const MOST_OFFERS = 6;
/** Of what is in the books the likeliest that make up so much of the chance count for the cautious date. */
const MAY_WELL = 0.9;

export const lumpSchema = Joi.object({
  grams: Joi.number().integer().min(1).max(50_000).allow(null).default(null).description('about'),
  colour: Joi.string()
    .valid(...LUMP_COLOURS)
    .allow(null)
    .default(null),
  wrap: Joi.string()
    .valid(...WRAPS)
    .allow(null)
    .default(null),
  zone: uuid.allow(null).default(null).description('where it lies'),
  frost: Joi.string()
    .valid(...FROSTS)
    .allow(null)
    .default(null),
  since: dateSchema.allow(null).default(null).description('since about when'),
  not: uuid.allow(null).default(null).description('the nameless package itself, where it is in the books'),
});

const toRow = (found: Package): StockRow => ({
  ...found,
  opened: found.openedOn !== null,
  zoneId: null,
  whose: '',
  handsOff: false,
  firstOut: firstOutKey(found),
});

const sayShare = (share: number): string =>
  share >= 0.8 ? 'very likely' : share >= 0.5 ? 'likely' : share >= 0.2 ? 'may be' : 'hardly';

/** What a nameless lump may be, the likeliest first. @throws Problem 400 */
export async function askLump(body: unknown): Promise<LumpAnswer> {
  const told = validate<
    Omit<LumpSeen, 'zoneId' | 'neighbourLots' | 'neighbourDays'> & { zone: string | null; not: string | null }
  >(lumpSchema, body);
  const { household, kitchen, reference, today, mayEat } = await viewContext();
  const since = instantInZone(addDays(today, -GONE_DAYS), '00:00', household.timeZone);
  const [rows, gone] = await Promise.all([
    readStockRows(household, today),
    readGoneLately(sql(), household.id, since, MOST_GONE),
  ]);
  const applianceOf = (zone: string): string | null =>
    kitchen.zones.find(({ id }) => id === zone)?.applianceId ?? null;
  const placeOf = placeNames(kitchen);
  const leftBy = new Map(gone.map(({ found, command }) => [found.id, command]));
  const candidates: LumpCandidate[] = [
    ...rows
      .filter(({ id, called }) => id !== told.not && !NAMELESS.test(called))
      .map((row) => ({
        row,
        books: 'here' as const,
        applianceId: row.zoneId === null ? null : applianceOf(row.zoneId),
      })),
    ...gone.map(({ found }) => ({
      row: toRow(found),
      books: found.gone?.how === 'lost' ? ('lost' as const) : ('gone' as const),
      applianceId: null,
    })),
  ];
  const beside = rows.filter(
    ({ zoneId, id }) => told.zone !== null && zoneId === told.zone && id !== told.not,
  );
  const { ranked, stranger } = rankLump(
    candidates,
    {
      ...told,
      zoneId: told.zone,
      neighbourLots: beside.map(({ lotId }) => lotId),
      neighbourDays: beside.map(({ startOn }) => startOn),
    },
    { today, applianceOf, placeOf, foodOf: (id) => reference.byId.get(id) },
  );
  let summed = 0;
  const likely = ranked.filter(({ sure }) => {
    const counts = summed < MAY_WELL * (1 - stranger);
    summed += sure;
    return counts;
  });
  const earliest = likely
    .map(({ candidate }) => candidate.row.governingDate)
    .sort()
    .at(0);
  return {
    offers: ranked.slice(0, MOST_OFFERS).map(({ candidate: { row, books }, sure, reasons }) => ({
      id: row.id,
      code: row.code,
      version: row.version,
      name: row.called,
      amount_words: sayAmount(row.amount, row.unit),
      place:
        books === 'here' ? placeOf(row.zoneId) : books === 'lost' ? 'written off as lost' : 'said to be gone',
      zone: row.zoneId,
      books,
      left_by: leftBy.get(row.id) ?? null,
      sure: Math.round(sure * 100),
      sure_words: `${sayShare(sure)}, ${Math.round(sure * 100)} of 100`,
      reasons: reasons.slice(0, 4),
      photo: row.photo ?? null,
      date_words: `${row.governingKind === 'use-by' ? 'use by' : 'best by'} ${sayFullDate(row.governingDate)}`,
      date: row.governingDate,
      not_for_eating: mayEat(row).may === 'discard',
    })),
    stranger_words: `Something nobody wrote down: ${Math.round(stranger * 100)} of 100.`,
    cautious_words: earliest === undefined ? '' : earliest < today ? 'past already' : sayFullDate(earliest),
  };
}

/** Where a lump may lie, and what is in the books without a name. */
export async function readLump(): Promise<LumpView> {
  const { household, kitchen, today } = await viewContext();
  const rows = await readStockRows(household, today);
  return {
    today,
    hemisphere: household.settings.hemisphere,
    zones: kitchen.zones.map(({ id, name, applianceName }) => ({ id, name: `${name}, ${applianceName}` })),
    nameless: rows
      .filter(({ called }) => NAMELESS.test(called))
      .map(({ id, code, version, called, amount, unit, zoneId }) => ({
        ...{ id, code, version, zone: zoneId },
        words: `${called} ${sayAmount(amount, unit)}, ${code}`,
        grams: unit === 'pc' ? null : amount,
      })),
  };
}
