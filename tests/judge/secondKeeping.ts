import { foodRows, outageRows } from './rows';

/**
 * A second, plain reading of RULES.md K1 to K13, for comparison: from the rows of the tables as they stand in the files, with
 * dates as day numbers, and nothing of the core. It explains nothing; it only gives the dates, or the rule that refuses.
 */
export interface Told {
  did: string;
  on: string;
  method?: string;
  c?: number;
  minutes?: number;
  hot?: boolean;
  soft?: boolean;
  content?: string;
  dried?: boolean;
  frozen?: boolean;
  loose?: boolean;
}

export interface Around {
  printed: { kind: string; date: string } | null;
  wrap: string;
  blanched: boolean;
  fridgeC: number;
  freezerC: number;
  caution: string;
  thawHours: number | null;
  /** Everything was accepted when it happened: figures that are stricter now shorten, they do not refuse. */
  accepted?: boolean;
  /** The household's own figures instead of the table's. */
  wish?: { fridge?: number; opened?: number };
}

export interface Second {
  useBy: string | null;
  bestBy: string;
  dead: boolean;
  minutes: number;
}

class No extends Error {
  constructor(readonly rule: string) {
    super(rule);
  }
}

const DAY = 86_400_000;
const dayOf = (text: string): number => Date.parse(`${text}T00:00:00Z`) / DAY;
const textOf = (day: number): string => new Date(day * DAY).toISOString().slice(0, 10);
const least = (...all: (number | null)[]): number | null => {
  const some = all.filter((one): one is number => one !== null);
  return some.length === 0 ? null : Math.min(...some);
};
const figure = (cell: string | undefined): number | null =>
  cell === undefined || cell === '' ? null : Number(cell);
const down = (value: number): number => Math.floor(value + 1e-9);

const spoilRate = (c: number): number => Math.max(1, (1 + 0.1 * c) ** 2 / 1.96);

const LOSS: [number, number][] = [
  [-18, 1],
  [-15, 1.7],
  [-12, 2.9],
  [-9, 5],
  [-6, 10],
  [-3, 30],
];
function lossRate(c: number): number {
  if (c <= -18) return 1;
  if (c >= -3) return 30;
  const at = LOSS.findIndex(([edge]) => edge >= c);
  const [c1, r1] = LOSS[at] as [number, number];
  const [c0, r0] = LOSS[at - 1] as [number, number];
  return Math.exp(Math.log(r0) + ((Math.log(r1) - Math.log(r0)) * (c - c0)) / (c1 - c0));
}

/** Whole months by the calendar, then the fraction times 30 days. */
function monthsOn(day: number, months: number): number {
  const from = new Date(day * DAY);
  const whole = Math.floor(months + 1e-9);
  const year = from.getUTCFullYear();
  const month = from.getUTCMonth() + whole;
  const last = new Date(Date.UTC(year, month + 1, 0)).getUTCDate();
  const there = Date.UTC(year, month, Math.min(from.getUTCDate(), last)) / DAY;
  return there + Math.max(0, Math.floor((months - whole) * 30 + 1e-6));
}

/** Reads one history. @returns the dates, or the rule that refuses */
export function secondKeeping(foodId: string, history: readonly Told[], around: Around): Second | string {
  try {
    return readAll(foodId, history, around);
  } catch (error) {
    if (error instanceof No) return error.rule;
    throw error;
  }
}

function readAll(foodId: string, history: readonly Told[], around: Around): Second {
  const row = foodRows.get(foodId);
  if (!row) throw new Error(foodId);
  const power = outageRows.get(row.outage_class as string) as Record<string, string>;
  const classSafe = power.fridge_verdict === 'discard' && Number(power.fridge_threshold_c) === 4.4;
  const warmHours =
    power.fridge_verdict === 'discard' && !classSafe ? figure(power.fridge_limit_hours) : null;
  const wholeProduce =
    row.readiness === 'needs-wash' &&
    row.opened_days_max !== '' &&
    (row.outage_class === 'whole-fruit' ||
      (row.outage_class === 'raw-vegetables' && Number(row.opened_days_max) <= 4));
  const careful = around.caution === 'careful';
  const raw = row.readiness === 'raw-animal';
  const { wish = {} } = around;
  const fridge = [figure(row.fridge_days_min) ?? 0, figure(row.fridge_days_max) ?? 0];
  if (wish.fridge !== undefined)
    [fridge[0], fridge[1]] = [Math.min(fridge[0] ?? 0, wish.fridge), wish.fridge];
  const fewGiven = wish.fridge === undefined ? figure(row.fridge_days_min) : (fridge[0] ?? null);
  let open = [figure(row.opened_days_min), figure(row.opened_days_max)];
  if (wish.opened !== undefined) open = [Math.min(open[0] ?? wish.opened, wish.opened), wish.opened];
  const thawedDays = figure(row.thawed_days);
  const homeDays = figure(row.home_days_max);
  const ownCounterDays = figure(row.counter_days_max);
  const frost = [
    figure(row.freezer_months_min) ?? 0,
    figure(row.freezer_months_max) ?? figure(row.freezer_months_min) ?? 0,
  ];

  let state = '';
  let start = 0;
  let use: number | null = null;
  let best = 0;
  let opened: number | null = null;
  let left: number | null = null;
  let thawed: { on: number; how: string; from: number } | null = null;
  let warmFreezer = false;
  let spoils = false;
  let turning = false;
  let c = around.fridgeC;
  let minutes = 0;
  let clock = 0;
  let openMinutes = 0;
  let dead = false;
  let end: number | null = null;
  let capUse: number | null = null;
  let capBest: number | null = null;

  const safe = (): boolean => classSafe || spoils;
  const counterDays = (): number | null => (spoils ? null : ownCounterDays);
  const set = (nextUse: number | null, nextBest: number): void => {
    use = nextUse === null ? null : least(nextUse, capUse);
    best = least(nextBest, capBest) as number;
  };
  /** Caps of what is over do not count on; what ended the food does. */
  const fresh = (): void => {
    capUse = end;
    capBest = end;
  };
  const cap = (day: number): void => {
    if (use === null) capBest = least(capBest, day);
    else capUse = least(capUse, day);
  };
  const governingAtMost = (day: number): void => {
    cap(day);
    if (use === null) set(null, Math.min(best, day));
    else set(Math.min(use, day), best);
  };
  const monthsIn = (): number => {
    const [low = 0, high = 0] = frost;
    let months = (low + high) / 2;
    if (['shop-tray', 'carton', 'tub', 'loose-bag'].includes(around.wrap)) months = low;
    if (['vacuum', 'glass', 'jar'].includes(around.wrap)) months = high;
    if (!around.blanched) {
      if (row.blanch_optional === 'yes' && row.unblanched_months_max !== '') {
        months = Math.min(months, Number(row.unblanched_months_max));
      } else if (row.blanch_optional === 'no' && row.blanch_minutes !== '') months = Math.min(months, 1);
    }
    return months;
  };
  const toSleep = (on: number, until: number, at: number): void => {
    const before = left;
    const from = thawed?.from ?? null;
    left = use === null ? null : Math.max(0, use - on);
    // K6: days on the way down and up are spent.
    if (left !== null && from !== null && before !== null)
      left = Math.min(left, Math.max(0, before - (on - from)));
    state = 'frozen';
    warmFreezer = false;
    turning = false;
    thawed = null;
    fresh();
    set(null, until);
    c = at;
  };
  const toWake = (on: number, how: string, at: number, from = on): void => {
    thawed = { on, how, from };
    c = at;
    fresh();
    if (!safe()) {
      set(null, on + down((thawedDays ?? fewGiven ?? 1) / spoilRate(c)));
    } else if (how !== 'fridge') {
      capUse = least(on, end);
      set(on, on);
    } else {
      const own = down((thawedDays ?? 1) / spoilRate(c));
      const days = Math.min(own, left ?? own);
      if (left !== null) capUse = least(on + left, end);
      set(on + days, on + days);
    }
  };
  const begin = (event: Told, on: number, own: boolean): void => {
    state = 'chilled';
    spoils = false;
    turning = false;
    warmFreezer = false;
    start = on;
    opened = null;
    left = null;
    thawed = null;
    c = around.fridgeC;
    minutes = 0;
    clock = 0;
    openMinutes = 0;
    dead = false;
    end = null;
    capUse = null;
    capBest = null;
    if (event.frozen) {
      const at = event.c ?? around.freezerC;
      if (row.freeze_fit === 'no' && around.printed === null && !around.accepted) throw new No('K5');
      state = 'frozen';
      c = at;
      left = classSafe ? (thawedDays ?? 1) : null;
      const months = monthsOn(on, monthsIn() / lossRate(at));
      set(null, months);
      const { printed } = around;
      if (printed === null || printed.kind === 'sell-by') return;
      const day = dayOf(printed.date);
      if (printed.kind !== 'best-before') set(null, Math.min(months, day));
      else {
        // The maker's date holds at −18 °C.
        const ratio = lossRate(at);
        set(null, day - on <= 0 || ratio === 1 ? day : on + down((day - on) / ratio));
      }
      capBest = day;
      return;
    }
    const atHome = own && homeDays !== null;
    spoils = atHome;
    const days = atHome
      ? [figure(row.home_days_min) ?? 0, homeDays].map((one) => Math.min(one ?? 0, fridge[1] ?? Infinity))
      : fridge;
    const most = down((days[1] ?? 0) / spoilRate(c));
    const few = down((days[0] ?? 0) / spoilRate(c));
    if (safe()) set(on + (careful ? few : most), on + few);
    else set(null, on + most);
  };

  history.forEach((event, nth) => {
    const on = dayOf(event.on);
    if (nth === 0) {
      // K3, K3b: no maker packed what was made or picked, sold loose or given open.
      const own =
        ['cooked', 'harvested'].includes(event.did) ||
        event.loose === true ||
        (event.did === 'given' &&
          history.some((one, at) => at > 0 && one.did === 'opened' && one.on <= event.on));
      begin(event, on, own);
      const binds = raw || own;
      const { printed } = around;
      if (printed === null || event.frozen) return;
      const day = dayOf(printed.date);
      if (Number(printed.date.slice(0, 4)) > Number(event.on.slice(0, 4)) + 20) throw new No('K3');
      const school = around.caution === 'printed' && !own;
      if (school && raw && printed.kind === 'use-by') {
        // K3c: the maker's date while closed, fourteen days at most; warmth ages it as it ages all.
        const last = Math.min(day, on + 14);
        capUse = last;
        set(Math.min(last, on + down(Math.max(0, last - on) / spoilRate(c))), best);
      } else if (school && row.outage_class === 'eggs-in-shell' && printed.kind === 'best-before') {
        capUse = day + 2;
        capBest = day;
        set(use, day);
      } else if (printed.kind === 'use-by' || printed.kind === 'freeze-by') {
        capUse = day;
        set(binds && use !== null ? Math.min(use, day) : day, best);
      } else if (printed.kind === 'best-before') {
        const carried = !binds && use !== null && use < day ? day : use;
        if (carried === day) capUse = day;
        capBest = day;
        set(carried, own ? Math.min(best, day) : day);
      }
      return;
    }
    switch (event.did) {
      case 'cooked':
        if (!around.accepted && (dead || (use !== null && on > use))) throw new No('K2');
        begin(event, on, true);
        return;
      case 'opened': {
        if (opened !== null) throw new No('K4');
        opened = on;
        const [few, most] = open;
        if (few === null || few === undefined || most === null || most === undefined) {
          // K3c: the maker answers for a closed pack only.
          if (around.caution === 'printed' && raw && state === 'chilled' && use !== null)
            set(Math.min(use, on + down((fridge[1] ?? 0) / spoilRate(c))), best);
          return;
        }
        if (wholeProduce) spoils = true;
        const slow = (days: number): number => down(days / spoilRate(c));
        if (state === 'frozen') {
          if (left !== null) left = Math.min(left, slow(most));
          return;
        }
        const stood = wholeProduce ? least(use, best) : use;
        const spoiling = safe();
        set(
          stood === null ? null : Math.min(stood, on + slow((spoiling && careful ? few : most) as number)),
          Math.min(best, on + slow((spoiling ? few : most) as number)),
        );
        return;
      }
      case 'frozen':
      case 'refrozen': {
        const again = event.did === 'refrozen' || thawed !== null;
        const at = event.c ?? around.freezerC;
        const rule = again ? 'K8' : 'K5';
        if (again) {
          if (dead && !around.accepted) throw new No(rule);
          if (thawed === null || state === 'frozen') throw new No(rule);
          if (thawed.how !== 'fridge') throw new No(rule);
        } else {
          if (state === 'frozen') throw new No(rule);
          if (dead && !around.accepted) throw new No(rule);
          if (row.freeze_fit === 'no' && !around.accepted) throw new No(rule);
        }
        if (use !== null && on > use && !around.accepted) throw new No(rule);
        if (at > -2 && !around.accepted) throw new No('K9');
        const months = again ? (frost[0] ?? 0) / 2 : monthsIn();
        toSleep(on, monthsOn(on, months / lossRate(at)), at);
        return;
      }
      case 'thawing':
        if (state !== 'frozen') throw new No('K7');
        toWake(on + Math.floor((around.thawHours ?? 0) / 24), 'fridge', event.c ?? around.fridgeC, on);
        state = 'thawing';
        return;
      case 'thawed': {
        const how = event.method as string;
        if (state === 'chilled' || state === 'room') throw new No('K6');
        if (how === 'metal' && safe()) throw new No('K6');
        if (state === 'thawing') {
          state = 'chilled';
          if (how !== 'fridge' && safe()) {
            thawed = { on, how, from: thawed?.from ?? on };
            const day = Math.min(use ?? on, on);
            fresh();
            capUse = least(day, end);
            set(day, day);
          } else if (thawed !== null && on < thawed.on) {
            const was = { use, best, capUse, capBest };
            toWake(on, 'fridge', c, thawed.from);
            capUse = least(capUse, was.capUse, was.use);
            capBest = least(end, was.capBest, was.best);
            set(use, best);
          }
          return;
        }
        toWake(on, how, around.fridgeC);
        state = 'chilled';
        return;
      }
      case 'moved': {
        const to = event.c as number;
        if (state === 'frozen' && to > -2) {
          // K9: thawed in a freezer that does not freeze; warmth lengthens nothing.
          const stood = use ?? best;
          toWake(on, 'fridge', to);
          state = 'chilled';
          warmFreezer = true;
          turning = false;
          const limit = to > 4.4 && safe() ? Math.min(stood, on) : stood;
          if (to > 4.4 && safe()) end = least(end, limit);
          cap(limit);
          set(use === null ? null : Math.min(use, limit), Math.min(best, limit));
          return;
        }
        if (warmFreezer && to <= -2) {
          if (dead || turning || end !== null || (use !== null && on > use)) c = to;
          else toSleep(on, monthsOn(on, (frost[0] ?? 0) / 2 / lossRate(to)), to);
          return;
        }
        const rate = state === 'frozen' ? lossRate : spoilRate;
        const ratio = rate(to) / rate(c);
        c = to;
        if (state === 'room') state = 'chilled';
        if (ratio === 1) return;
        const scaled = (day: number): number => (day <= on ? day : on + down((day - on) / ratio));
        set(use === null ? null : scaled(use), scaled(best));
        return;
      }
      case 'counter': {
        const told = event.minutes as number;
        clock += told;
        if (!around.accepted && clock > (on - start + 1) * 1440) throw new No('K10');
        const counted =
          (state === 'frozen' && !event.soft ? Math.max(0, told - 15) : told) * (event.hot ? 2 : 1);
        minutes += counted;
        if (opened !== null) openMinutes += counted;
        if (safe()) {
          if (minutes >= 120 && !dead) {
            dead = true;
            end ??= on;
            governingAtMost(on);
          }
        } else if (state !== 'frozen') {
          if (counterDays() !== null) {
            if (minutes >= (counterDays() as number) * 1440) governingAtMost(on);
          } else if (warmHours !== null && opened !== null && openMinutes >= warmHours * 60) {
            dead = true;
            end ??= on;
            governingAtMost(on);
          }
        }
        return;
      }
      case 'kept-out': {
        const days = counterDays();
        if (safe() || days === null) throw new No('K10');
        if (state === 'frozen' || state === 'thawing' || state === 'room') throw new No('K10');
        state = 'room';
        const until = on + days;
        set(use, on === start && opened === null ? until : Math.min(best, until));
        return;
      }
      case 'topped-up': {
        const content = dayOf(event.content as string);
        if (dead && !around.accepted) throw new No('K11');
        if (state === 'thawing' || thawed !== null) throw new No('K11');
        if (content > on) throw new No('K11');
        if (use !== null && on > use && !around.accepted) throw new No('K11');
        let ownUse: number | null = null;
        let ownBest: number;
        if (state === 'frozen') ownBest = monthsOn(content, monthsIn() / lossRate(c));
        else {
          const most = content + down((fridge[1] ?? 0) / spoilRate(c));
          const few = content + down((fridge[0] ?? 0) / spoilRate(c));
          if (safe()) [ownUse, ownBest] = [careful ? few : most, few];
          else ownBest = most;
        }
        if (ownUse !== null && ownUse < on && !around.accepted) throw new No('K11');
        start = Math.min(start, content);
        if (left !== null) left = Math.min(left, Math.max(0, (fridge[1] ?? 0) - Math.max(0, on - content)));
        set(use === null || ownUse === null ? use : Math.min(use, ownUse), Math.min(best, ownBest));
        return;
      }
      case 'washed': {
        if (event.dried) return;
        const half = on + Math.max(0, Math.floor(((use ?? best) - on) / 2));
        cap(half);
        set(use === null ? null : Math.min(use, half), Math.min(best, half));
        return;
      }
      case 'found-turning':
      case 'found-bad': {
        const bad = event.did === 'found-bad';
        turning = true;
        if (left !== null) left = Math.min(left, bad ? 0 : 1);
        if (bad) {
          dead = true;
          end ??= on;
        }
        governingAtMost(bad ? on : on + 1);
        return;
      }
      default:
        throw new No('K2');
    }
  });
  return { useBy: use === null ? null : textOf(use), bestBy: textOf(best), dead, minutes };
}
