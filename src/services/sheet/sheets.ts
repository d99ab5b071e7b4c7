import { mayOffer } from '@/core/keeping/mayEat';
import { dateInZone } from '@/core/calendar/dateInZone';
import { sayPastDate } from '@/core/calendar/sayDate';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { viewContext } from '../household/context';
import { readStockRows } from '../stock/stockRows';

/** A line of a printed sheet as it stands now. */
export interface SheetLine {
  /** "Chicken stock 500 ml". */
  words: string;
  /** Boxes that were printed. */
  printed: number;
  /** Those that are still here, first out first. */
  here: { id: string; code: string; version: number; fit: boolean }[];
}

export interface SheetView {
  code: string;
  called: string;
  appliance: string;
  printed_words: string;
  lines: SheetLine[];
  packs: number;
  /** Left since it was printed, and known here already. */
  left: number;
  /** Came in since: not on the paper. */
  came: number;
}

export interface SheetsView {
  sheets: SheetView[];
  appliances: { id: string; name: string }[];
}

/** The sheets on the doors, the newest first, each against what is here now. */
export async function readSheets(): Promise<SheetsView> {
  const { household, kitchen, today, mayEat } = await viewContext();
  const [kept, rows] = await Promise.all([
    readKept(sql(), household.id, ['sheet']),
    readStockRows(household, today),
  ]);
  const byId = new Map(rows.map((row) => [row.id, row]));
  const sheets = [...kept.sheet.values()]
    .sort((a, b) => (a.printedAt < b.printedAt ? 1 : -1))
    .map((sheet): SheetView => {
      const lines = sheet.groups.map(({ name, packages }): SheetLine => ({
        words: name,
        printed: packages.length,
        here: packages.flatMap((id) => {
          const row = byId.get(id);
          if (!row) return [];
          const fit = mayOffer(mayEat(row));
          return [{ id, code: row.code, version: row.version, fit }];
        }),
      }));
      const onPaper = new Set(sheet.groups.flatMap(({ packages }) => packages));
      const zones = new Set(
        kitchen.zones.filter(({ applianceId }) => applianceId === sheet.appliance).map(({ id }) => id),
      );
      const packs = onPaper.size;
      return {
        code: sheet.code,
        called: sheet.called,
        appliance: sheet.appliance,
        printed_words: sayPastDate(dateInZone(sheet.printedAt, household.timeZone), today),
        lines,
        packs,
        left: packs - lines.reduce((sum, { here }) => sum + here.length, 0),
        came: rows.filter(({ id, zoneId }) => zoneId !== null && zones.has(zoneId) && !onPaper.has(id))
          .length,
      };
    });
  return { sheets, appliances: kitchen.appliances.map(({ id, name }) => ({ id, name })) };
}
