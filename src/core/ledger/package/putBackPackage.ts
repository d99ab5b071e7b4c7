import { HOUSEHOLD_MAY } from '../../model/role';
import { sayPlainDate } from '../../calendar/sayDate';
import type { HistoryEvent } from '../../model/history';
import { Refusal } from '../../model/refusal';
import type { LedgerEvent, Package } from '../../model/package';
import type { World } from '../../model/world';
import { type OnPackage, type Placing } from '../../model/command';
import { StaleVersion } from '../../model/stale';
import { minutesBetween, MOST_STOOD_MINUTES } from '../../keeping/counterMinutes';
import { counterOf } from './judgePackage';
import { withEvents } from './withEvents';
import { moveTo } from './moveTo';
import { packageCommand } from './packageCommand';

interface PuttingBack extends OnPackage, Placing {
  /** Minutes it stood out, as the cook remembers them. */
  minutes: number;
  /** Above 32 °C where it stood. */
  hot: boolean;
  /** `null`: where it lay before. */
  zone: string | null;
}

/** A package as it comes back: one that is here, one that was taken today, or one that was lost and has turned up. */
function comingBack(found: Package, world: World): Package {
  const { gone } = found;
  if (gone === null || gone.how === 'lost') return { ...found, gone: null };
  if (gone.how !== 'taken')
    throw new Refusal('gone', `${found.code} was ${gone.how}: it does not come back.`);
  if (gone.on !== world.today) {
    throw new Refusal(
      'gone',
      `${found.code} was taken on ${sayPlainDate(gone.on)}: nobody knows where it was since. When in doubt, throw it out.`,
    );
  }
  return { ...found, gone: null };
}

/**
 * Puts a package back into the cold with the minutes it stood out (K10), whether anybody had told that it was out or not. Of two
 * counts of the same stay the longer one holds; what it had stood when it left comes on top.
 *
 * @throws Refusal `gone` for what cannot come back, `place` as `moveTo`
 */
function putBackPackage(command: PuttingBack, world: World): LedgerEvent[] {
  const found = world.package(command.package);
  if (found.version !== command.version) throw new StaleVersion(found);
  const back = comingBack(found, world);
  const zone = command.zone ?? back.zoneId;
  if (zone === null) throw new Refusal('place', 'Where to? It had no place.');
  const [running] = counterOf(back, world);
  const clocked = running?.did === 'counter' ? running.minutes : 0;
  const { stood: before = 0, since } = found.gone ?? {};
  // Lost on the counter, it stood there until it was found.
  const minutes =
    since === undefined
      ? Math.max(command.minutes, clocked) + before
      : Math.min(MOST_STOOD_MINUTES, Math.max(command.minutes, minutesBetween(since, world.at)));
  const stay: HistoryEvent[] =
    minutes < 1
      ? []
      : [{ did: 'counter', on: world.today, minutes, ...(command.hot || world.hot ? { hot: true } : {}) }];
  const stood = withEvents(back, stay, world, { counterSince: null, zoneId: null });
  const { after } = moveTo(stood, zone, world, command.anyway);
  const { name } = world.zone(zone);
  const out = minutes < 1 ? '' : ` after ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} out`;
  const end = after.condemned ? ' That was too long: throw it out.' : '';
  return [
    {
      type: 'package.put-back',
      before: found,
      after: { ...after, version: found.version + 1 },
      says: `${found.called} ${found.code} is back in ${name}${out}.${end}`,
    },
  ];
}

export const putBackPackageCommand = packageCommand('package.put-back', putBackPackage, HOUSEHOLD_MAY);
