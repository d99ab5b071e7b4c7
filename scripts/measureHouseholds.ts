import { randomUUID } from 'node:crypto';
import { readCommands } from '../src/services/door/readCommands';
import { runLocked } from '../src/services/door/runCommands';
import { closeDatabase, sql, transaction } from '../src/store/database';
import { addHousehold } from '../src/store/households';
import type { Measured } from './measureKitchen';
import { inFull } from './benchScale';

const SECONDS = inFull(6, 1);
const SETTINGS = {
  caution: 'usual',
  notifyAt: '08:00',
  leadChilled: 4,
  leadFrozen: 31,
} as const;

/** One-package hauls, each made durable, from one client a household named. @returns commands a second */
async function rateOf(households: readonly number[]): Promise<number> {
  const today = new Date().toISOString().slice(0, 10);
  const until = performance.now() + SECONDS * 1000;
  let done = 0;
  const client = async (id: number): Promise<void> => {
    while (performance.now() < until) {
      const lines = [{ food: 'trout', amount: 400, unit: 'g', start: { did: 'bought', on: today } }];
      const body = { id: randomUUID(), type: 'haul.store', lines };
      await transaction((db) => runLocked(db, readCommands(body, new Date().toISOString()), id));
      done += 1;
    }
  };
  await Promise.all(households.map(client));
  return done / SECONDS;
}

/** Commands of ten households at once against those of one household from ten clients, through the door itself. */
export async function tenHouseholds(): Promise<Measured[]> {
  const ids: number[] = [];
  for (let at = 0; at < 10; at++) {
    const household = { name: `House ${at}`, timeZone: 'Europe/Dublin', currency: 'EUR' };
    ids.push(await addHousehold(sql(), { ...household, settings: { ...SETTINGS, feedKey: '' } }));
  }
  await rateOf(ids);
  const one = await rateOf(Array.from({ length: 10 }, () => ids[0] ?? 0));
  const single = await rateOf(ids.slice(0, 1));
  const ten = await rateOf(ids);
  await closeDatabase();
  return [
    { what: 'commands a second, one household, one client', value: single, unit: '/s' },
    { what: 'commands a second, one household, ten clients', value: one, unit: '/s' },
    { what: 'commands a second, ten households at once', value: ten, unit: '/s' },
    { what: 'ten households / one household', value: ten / Math.max(one, single), unit: '×' },
  ];
}
