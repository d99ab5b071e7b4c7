import { addDays, type CalendarDate } from '@/core/calendar/calendarDate';
import { sayFullDate } from '@/core/calendar/sayDate';
import { firstOutKept } from '@/core/lookback/firstOutKept';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { readCameIn, readLost, readStays } from '@/store/lookback';
import { type HouseholdContext, viewContext } from '../household/context';
import { keptSince } from '../household/kept';
import { ageChart, fillChart, type LookBackChart, lostBy, lostChart, REASONS } from './charts';
import { findingsOf, type LearnedView, learnedOf } from './learned';

export interface LookBackView {
  today: CalendarDate;
  since: string;
  currency: string;
  charts: LookBackChart[];
  first_out: { kept: number; jumped: number; words: string };
  /** What was lost most of, against what came in. */
  buy_less: { name: string; lost_words: string; money_words: string; share: number }[];
  learned: LearnedView[];
}

const DAYS = 365;
const MOST_FOODS = 12;
const LESS_SHARE = 0.1;

/** What the last twelve months teach: what was lost and why, how old the stock is, whether the oldest went first, how long food keeps here. */
export async function readLookBack(): Promise<LookBackView> {
  const context = await viewContext();
  return keptSince(context.household, `look back ${context.today}`, () => lookBack(context));
}

async function lookBack(context: HouseholdContext): Promise<LookBackView> {
  const { household, kitchen, reference, today } = context;
  const from = addDays(today, -DAYS);
  const since = `${from}T00:00:00.000Z`;
  const [lost, stays, cameIn, kept] = await Promise.all([
    readLost(sql(), household.id, since),
    readStays(sql(), household.id, from),
    readCameIn(sql(), household.id, since),
    readKept(sql(), household.id, ['looked']),
  ]);
  const { currency } = household.settings;
  const nameOf = (id: string): string => reference.byId.get(id)?.name ?? id;
  const places = new Map(
    kitchen.zones.map(({ id, name, applianceName }) => [id, `${name}, ${applianceName}`]),
  );
  const came = new Map(cameIn.map((one) => [one.foodId, one]));
  const byFood = lostBy(lost, ({ foodId }) => foodId);
  const months = lostBy(lost, ({ month }) => month).sort((a, b) => (a[0] < b[0] ? -1 : 1));
  const counts = firstOutKept(stays);
  const all = counts.kept + counts.jumped;
  return {
    today,
    since: sayFullDate(from),
    currency,
    charts: [
      lostChart(
        'reason',
        'Lost, and why',
        lostBy(lost, ({ reason }) => REASONS[reason] ?? reason),
        currency,
      ),
      lostChart(
        'food',
        'Lost by food',
        byFood.slice(0, MOST_FOODS).map(([id, row]) => [nameOf(id), row]),
        currency,
      ),
      lostChart(
        'zone',
        'Lost by zone',
        lostBy(lost, ({ zoneId }) => places.get(zoneId ?? '') ?? 'on the counter, or a zone that is no more'),
        currency,
      ),
      lostChart('month', 'Lost by month', months, currency),
      ageChart(
        stays.filter(({ goneOn }) => goneOn === null),
        today,
      ),
      fillChart(stays, today),
    ],
    first_out: {
      ...counts,
      words:
        all === 0
          ? 'Nothing was eaten whole in this time.'
          : `The oldest went first ${counts.kept} times of ${all}; ${counts.jumped} times something older of the same food stayed behind.`,
    },
    // What a power cut spoilt was not too much.
    buy_less: lostBy(
      lost.filter(({ reason }) => reason !== 'power-cut'),
      ({ foodId }) => foodId,
    )
      .flatMap(([id, row]) => {
        const bought = came.get(id)?.grams ?? 0;
        const share = bought > 0 ? Math.min(1, row.grams / bought) : 0;
        return share >= LESS_SHARE
          ? [
              {
                name: nameOf(id),
                lost_words: sayAmount(Math.round(row.grams), 'g'),
                money_words: row.minor > 0 ? sayMoney(row.minor, currency) : '',
                share,
              },
            ]
          : [];
      })
      .slice(0, MOST_FOODS),
    learned: learnedOf(findingsOf(stays, kept.looked), context),
  };
}
