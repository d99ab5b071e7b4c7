import { dequal } from 'dequal';
import { RISK_WORDS } from '../../foods/forWhom';
import type { Marks } from '../../model/food';
import type { Caution } from '../../model/history';
import { Refusal } from '../../model/refusal';
import type { Decision } from '../../model/decision';
import { redatePackages } from '../package/redatePackages';
import type { HouseholdSettings, Setting } from '../../model/setting';
import { withSetting } from '../settings/withSetting';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;

function sayPeople(before: readonly string[], after: readonly string[]): string {
  const came = after.filter((name) => !before.includes(name));
  const left = before.filter((name) => !after.includes(name));
  return [
    came.length === 0 ? '' : `${came.join(' and ')} lives here`,
    left.length === 0 ? '' : `${left.join(' and ')} does not live here any more`,
  ]
    .filter((part) => part !== '')
    .join(', ');
}

const CAUTION_WORDS: Record<Caution, string> = {
  usual: 'the shorter of our figure and the printed date counts',
  careful: 'the shortest figures count',
  printed: 'the printed use-by of a closed pack counts',
};

/** "Tuva is pregnant". */
function sayMarks(marks: Marks): string {
  const said = Object.entries(marks).map(
    ([name, risks]) => `${name} is ${risks.map((risk) => RISK_WORDS[risk]).join(' and ')}`,
  );
  return said.length === 0 ? 'nobody needs more care any more' : said.join(', ');
}

function sayChanges(before: HouseholdSettings, after: HouseholdSettings): string {
  const told = [
    before.notifyAt === after.notifyAt ? '' : `heads-ups at ${after.notifyAt}`,
    before.leadChilled === after.leadChilled ? '' : `chilled food told ${after.leadChilled} days ahead`,
    before.leadFrozen === after.leadFrozen ? '' : `frozen food told ${after.leadFrozen} days ahead`,
    before.caution === after.caution ? '' : CAUTION_WORDS[after.caution],
    before.name === after.name ? '' : `called ${after.name}`,
    before.timeZone === after.timeZone ? '' : `time zone ${after.timeZone}`,
    before.currency === after.currency ? '' : `currency ${after.currency}`,
    before.units === after.units ? '' : after.units === 'us' ? 'pounds, cups and °F' : 'grams, litres and °C',
    before.decimals === after.decimals
      ? ''
      : after.decimals === 'comma'
        ? 'a comma before tenths'
        : 'a point before tenths',
    before.dateOrder === after.dateOrder
      ? ''
      : after.dateOrder === 'mdy'
        ? 'month first in dates'
        : 'day first in dates',
    before.hemisphere === after.hemisphere
      ? ''
      : `seasons of the ${after.hemisphere === 'south' ? 'southern' : 'northern'} half of the world`,
    sayPeople(before.people, after.people),
    dequal(before.marks, after.marks) ? '' : sayMarks(after.marks),
    before.feedKey === after.feedKey ? '' : 'a new calendar address; the old one is shut',
  ].filter((part) => part !== '');
  return told.length === 0 ? 'Nothing changed in the household.' : `Household: ${told.join(', ')}.`;
}

/**
 * Sets what the household decides for itself. Another caution dates every package anew.
 *
 * @throws Refusal `household` for a time that is none
 */
function setHousehold(
  command: { changes: Partial<HouseholdSettings>; renewFeed: boolean },
  world: World,
): Decision {
  const before = world.settings;
  const told = { ...before, ...command.changes };
  const after = {
    ...told,
    // Whoever left is not asked about any more.
    marks: Object.fromEntries(Object.entries(told.marks).filter(([name]) => told.people.includes(name))),
    ...(command.renewFeed ? { feedKey: world.newKey() } : {}),
  };
  if (!CLOCK.test(after.notifyAt))
    throw new Refusal('household', `“${after.notifyAt}” is not a time of day.`);
  const set: Setting = { kind: 'household', subject: '', value: after };
  return {
    lots: [],
    events: after.caution === before.caution ? [] : redatePackages(world.loaded(), withSetting(world, set)),
    settings: [
      {
        type: 'household.set',
        before: { kind: 'household', subject: '', value: before },
        after: set,
        says: sayChanges(before, after),
      },
    ],
  };
}

export const setHouseholdCommand: CommandKind<{ changes: Partial<HouseholdSettings>; renewFeed: boolean }> = {
  type: 'household.set',
  needs: () => ({ foods: 'all' }),
  decide: setHousehold,
};
