import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { v4 as newUuid } from 'uuid';
import { addDays } from '@/core/calendar/calendarDate';
import { USUAL_LEAD } from '@/core/firstout/askOn';
import type { Food } from '@/core/model/food';
import { indexFoods } from '@/core/foods/findFood';
import type { Caution } from '@/core/model/history';
import {
  type ApplianceDrawing,
  type Cold,
  type DrawnZone,
  NO_RULES,
  type ZoneKind,
} from '@/core/model/drawing';
import type { Job } from '@/core/model/setting';
import type { Container } from '@/core/model/container';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import type { QuickVocabulary } from '@/core/quickline/quickLine';
import { alone, type Sql, sql, transaction } from '@/store/database';
import { dropReferenceDigest, putFood, putReferenceDigest, readReferenceDigest } from '@/store/foods';
import {
  addHousehold,
  clearHouseholds,
  readHousehold,
  readHouseholds,
  renewFiguresVersion,
} from '@/store/households';
import { putContainer } from '@/store/containers';
import { putMeasured } from '@/store/readings';
import { readStock } from '@/store/packages';
import { putJob } from '@/store/jobs';
import { lockMemberships, type Membership, putMembership } from '@/store/members';
import { atInstant, now, todayIn } from '../door/clock';
import { drawIn } from '../door/putSetting';
import { newFeedKey } from '../door/loadWorld';
import { runCommands } from '../door/runCommands';
import { inHousehold } from './chosen';
import { readVocabulary } from './foods';
import { foodNamed, loadReference, ourHousehold, referenceOf } from './household';
import { toApiLine } from '../door/apiLine';

interface DemoZone extends Partial<DrawnZone> {
  name: string;
  purpose: string;
  kind: ZoneKind;
  at: [number, number, number];
  mm: [number, number, number];
  measuredC?: number;
}

interface DemoAppliance extends Pick<ApplianceDrawing, 'name' | 'room' | 'shape'> {
  compartments: {
    name: string;
    cold: Cold;
    mm: [number, number, number, number, number];
    doorMm: number;
    zones: DemoZone[];
  }[];
}

interface DemoEvent {
  daysAgo: number;
  hour: number;
  food: string;
  take?: boolean;
  amount?: number;
  open?: boolean;
  thaw?: string;
}

interface DemoHousehold {
  household: { name: string; timeZone: string; currency: string; caution: Caution };
  people: string[];
  appliances: DemoAppliance[];
  containers: Omit<Container, 'id'>[];
  jobs: (Pick<Job, 'kind' | 'name' | 'everyDays'> & { daysAgo: number; frostMm?: number })[];
  foods: (Partial<Food> & { copy: string; id: string; name: string })[];
  days: { daysAgo: number; hour: number; lines: string[] }[];
  minutesAgo: { minutes: number; lines: string[] }[];
  events: DemoEvent[];
}

const FILE = path.join(process.cwd(), 'data', 'demo', 'skerry-row.json');

/** When the demo's thermometers were read. */
const READ_AGO_MS = 2 * 3_600_000;

/** A demo appliance with ids, and what was measured in its zones, °C. */
function toDrawing({ compartments, ...appliance }: DemoAppliance): {
  drawing: ApplianceDrawing;
  measured: Map<string, number>;
} {
  const measured = new Map<string, number>();
  const drawing: ApplianceDrawing = { ...appliance, id: newUuid(), compartments: [], zones: [] };
  for (const { mm, zones, ...inside } of compartments) {
    const [xMm, yMm, widthMm, heightMm, depthMm] = mm;
    const compartmentId = newUuid();
    drawing.compartments.push({ ...inside, id: compartmentId, xMm, yMm, widthMm, heightMm, depthMm });
    for (const { at, mm: size, measuredC, ...zone } of zones) {
      const id = newUuid();
      drawing.zones.push({
        ...NO_RULES,
        side: 'body',
        humidity: null,
        ...zone,
        id,
        compartmentId,
        parentId: null,
        xMm: at[0],
        yMm: at[1],
        zMm: at[2],
        widthMm: size[0],
        heightMm: size[1],
        depthMm: size[2],
      });
      if (measuredC !== undefined) measured.set(id, measuredC);
    }
  }
  return { drawing, measured };
}

/** The demo's household and kitchen, in place of what there was of it: there is one at every moment. */
async function addKitchen(demo: DemoHousehold): Promise<number> {
  return transaction(async (db) => {
    const members = await clearDemo(db);
    const householdId = await addHousehold(db, {
      ...demo.household,
      demo: true,
      settings: {
        people: demo.people,
        caution: demo.household.caution,
        notifyAt: '08:00',
        leadChilled: USUAL_LEAD.chilled,
        leadFrozen: USUAL_LEAD.frozen,
        feedKey: newFeedKey(),
      },
    });
    for (const { member, role } of members) await putMembership(db, householdId, member, role);
    for (const appliance of demo.appliances) {
      const { drawing, measured } = toDrawing(appliance);
      await drawIn(db, householdId, drawing);
      for (const [zoneId, celsius] of measured) {
        const at = new Date(Date.parse(now()) - READ_AGO_MS).toISOString();
        await putMeasured(db, householdId, zoneId, { celsius, at });
      }
    }
    for (const container of demo.containers) {
      const id = newUuid();
      await putContainer(db, householdId, id, { ...container, id });
    }
    for (const { daysAgo, ...job } of demo.jobs) {
      await putJob(db, householdId, {
        frostMm: null,
        ...job,
        id: newUuid(),
        dueOn: null,
        retired: false,
        lastOn: addDays(todayIn(demo.household.timeZone), -daysAgo),
      });
    }
    const { index } = await loadReference(db, householdId);
    for (const { copy, ...own } of demo.foods) {
      const near = foodNamed(index, copy);
      await putFood(db, householdId, { ...near, ...own, copyOf: near.copyOf ?? near.id });
    }
    await renewFiguresVersion(db, householdId);
    return householdId;
  });
}

async function storeLines(lines: string[], instant: string): Promise<void> {
  await atInstant(instant, async () => {
    const vocabulary = await readVocabulary();
    const reading: QuickVocabulary = { ...vocabulary, foods: indexFoods(vocabulary.foods) };
    const read = lines.map((text) => {
      const { line, faults } = parseQuickLine(text, reading);
      if (!line) throw new Error(`demo line “${text}”: ${faults.map(({ says }) => says).join(' ')}`);
      return toApiLine(line);
    });
    await runCommands({ id: newUuid(), type: 'haul.store', lines: read });
  });
}

async function runEvent(event: DemoEvent, instant: string): Promise<void> {
  await atInstant(instant, async () => {
    const household = await ourHousehold();
    const { index } = await referenceOf(household);
    const { id: foodId } = foodNamed(index, event.food);
    const [found] = await readStock(sql(), household.id, {
      foodIds: [foodId],
      zoneId: null,
      state: event.thaw ? 'frozen' : null,
      after: null,
      limit: 1,
    });
    if (!found) throw new Error(`demo event: there is no ${event.food}`);
    const base = { id: newUuid(), package: found.id, version: found.version };
    if (event.thaw) {
      const { zones } = await readVocabulary();
      const zone = zones.find(({ name }) => name.toLowerCase() === event.thaw);
      await runCommands({ ...base, type: 'package.thaw', method: 'fridge', zone: zone?.id });
    } else if (event.open) await runCommands({ ...base, type: 'package.open' });
    else await runCommands({ ...base, type: 'package.take', amount: event.amount ?? null });
  });
}

/** The demo household, relative to today. Its packages come in through the same door as everything else. */
async function seedDemo(): Promise<void> {
  const demo = JSON.parse(await readFile(FILE, 'utf8')) as DemoHousehold;
  const householdId = await addKitchen(demo);
  const today = todayIn(demo.household.timeZone);
  const instantOf = (daysAgo: number, hour: number): string => {
    const wanted = `${addDays(today, -daysAgo)}T${String(hour).padStart(2, '0')}:00:00.000Z`;
    return Date.parse(wanted) > Date.parse(now())
      ? new Date(Date.parse(now()) - 60_000).toISOString()
      : wanted;
  };
  const steps = [
    ...demo.days.map((day) => ({
      at: instantOf(day.daysAgo, day.hour),
      run: (at: string) => storeLines(day.lines, at),
    })),
    ...demo.events.map((event) => ({
      at: instantOf(event.daysAgo, event.hour),
      run: (at: string) => runEvent(event, at),
    })),
    ...demo.minutesAgo.map(({ minutes, lines }) => ({
      at: new Date(Date.parse(now()) - minutes * 60_000).toISOString(),
      run: (at: string) => storeLines(lines, at),
    })),
  ].sort((a, b) => (a.at < b.at ? -1 : 1));
  await inHousehold(householdId, async () => {
    for (const { at, run } of steps) await run(at);
  });
}

/** Stands in the store while the demo moves in: a start that finds it knows that the last one was killed. */
const MOVING_IN = 'demo-moving-in';

async function moveIn(): Promise<void> {
  await putReferenceDigest(sql(), MOVING_IN, '');
  await seedDemo();
  await dropReferenceDigest(sql(), MOVING_IN);
}

/** Empties what there is of the demo. @returns who belonged to it */
async function clearDemo(db: Sql): Promise<Membership[]> {
  const members: Membership[] = [];
  for (const { id, demo } of await readHouseholds(db)) {
    if (!demo) continue;
    members.push(...(await lockMemberships(db, id)));
    await clearHouseholds(db, id);
  }
  return members;
}

/**
 * Seeds the demo household when there is no household at all, or when a start before this one was killed while it moved in:
 * half a household is none. Of two starts at once one waits for the other.
 *
 * @returns true when it did
 */
export function seedWhenEmpty(): Promise<boolean> {
  return alone('demo', async () => {
    const half = (await readReferenceDigest(sql(), MOVING_IN)) !== null;
    if (!half && (await readHousehold(sql(), null))) return false;
    await moveIn();
    return true;
  });
}

/** Throws away every household of this database and begins again with the demo. */
export function resetDemo(): Promise<void> {
  return alone('demo', async () => {
    await transaction((db) => clearHouseholds(db, null));
    await moveIn();
  });
}

/** Puts the demo back as it was at first; nobody else's household is touched. */
export const putDemoBack = (): Promise<void> => alone('demo', moveIn);
