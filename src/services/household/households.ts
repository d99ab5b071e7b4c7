import Joi from 'joi';
import { USUAL_LEAD } from '@/core/firstout/askOn';
import { CAUTIONS } from '@/core/model/history';
import type { HouseholdSettings } from '@/core/model/setting';
import { sql, transaction } from '@/store/database';
import {
  addHousehold,
  clearHouseholds,
  type ListedHousehold,
  lockHousehold,
  type NewHousehold,
  readHouseholds,
  readHouseholdSizes,
} from '@/store/households';
import { putMembership } from '@/store/members';
import { mustProve } from '../keys/prove';
import { type Visitor, whoAsks } from '../keys/whoAsks';
import { newFeedKey } from '../door/loadWorld';
import { Problem } from '../door/problem';
import { HOUSEHOLD_WORDS } from '../door/schemas/household';
import { plainText, validate } from '../door/validate';
import { toldHousehold } from './chosen';
import { chosenPerson } from './person';
import { putDemoBack } from './demo';
import { ourHousehold } from './household';

/** The households one may choose from, and the one this device shows. */
export interface HouseholdChoice {
  households: (ListedHousehold & { packages: number })[];
  here: number | null;
  people: string[];
  person: string | null;
  /** This server keeps one household only, so there is nothing to choose. */
  kept: boolean;
}

/** All households, which of them is shown, and who uses this device. */
export async function readHouseholdChoice(): Promise<HouseholdChoice> {
  const listed = await visibleHouseholds();
  const sizes = await readHouseholdSizes(
    sql(),
    listed.map(({ id }) => id),
  );
  const households = listed.map((one) => ({ ...one, packages: sizes.get(one.id) ?? 0 }));
  const here = households.length === 0 ? null : await ourHousehold();
  return {
    households,
    here: here?.id ?? null,
    people: here?.settings.people ?? [],
    person: await chosenPerson(),
    kept: Boolean(process.env.HOUSEHOLD_ID),
  };
}

/** Every household; where keys are asked for, the member's own. */
export async function visibleHouseholds(): Promise<ListedHousehold[]> {
  const { member } = await whoAsks();
  return readHouseholds(sql(), member && member.memberships.map(({ householdId }) => householdId));
}

/** A household that this visitor may do everything in. @throws Problem 404 for any other: it may not even be known to be there */
async function mustBeCookOf(id: number | undefined): Promise<void> {
  const { member } = await whoAsks();
  const its = member?.memberships.find(({ householdId }) => householdId === id);
  if (member && its?.role !== 'cook')
    throw new Problem(
      its ? 403 : 404,
      its ? 'not-yours' : 'not-found',
      its
        ? 'Your key does not open that. Ask a cook of this kitchen.'
        : 'This household is not there any more.',
    );
}

/** True when the first page asks which door: nothing was chosen here, and nobody made a household of their own yet. */
export async function asksWhichDoor(): Promise<boolean> {
  if (process.env.HOUSEHOLD_ID || (await toldHousehold()).id !== null) return false;
  return !(await visibleHouseholds()).some(({ own }) => own);
}

export const newHouseholdSchema = Joi.object({
  name: HOUSEHOLD_WORDS.name.required(),
  time_zone: HOUSEHOLD_WORDS.timeZone.required(),
  currency: HOUSEHOLD_WORDS.currency.required(),
  units: HOUSEHOLD_WORDS.units.default('metric'),
  decimals: HOUSEHOLD_WORDS.decimals.default('point'),
  date_order: HOUSEHOLD_WORDS.dateOrder.default('dmy'),
  caution: Joi.string()
    .valid(...CAUTIONS)
    .default('usual'),
  people: HOUSEHOLD_WORDS.people.default([]),
  marks: HOUSEHOLD_WORDS.marks.default({}),
  hemisphere: HOUSEHOLD_WORDS.hemisphere.default('north'),
});

type NewHouseholdBody = Pick<
  HouseholdSettings,
  'name' | 'currency' | 'units' | 'decimals' | 'caution' | 'people' | 'marks' | 'hemisphere'
> & {
  time_zone: string;
  date_order: HouseholdSettings['dateOrder'];
};

/** So many households one sees at most, the demo too. */
const MAX_HOUSEHOLDS = 20;

/** Whoever may make a household: not a guest, and not who may only look. @throws Problem 403, 422 when there are many */
export async function mayAddHousehold(): Promise<Visitor> {
  const visitor = await whoAsks();
  const may = visitor.member?.memberships.some(({ role }) => role === 'cook' || role === 'household') ?? true;
  if (!may) throw new Problem(403, 'not-yours', 'Guests and readers can’t add a household. Ask a cook.');
  if ((await visibleHouseholds()).length >= MAX_HOUSEHOLDS)
    throw new Problem(
      422,
      'refused',
      `You have ${MAX_HOUSEHOLDS} households. Delete one you no longer use first.`,
    );
  return visitor;
}

/** Makes a household of one's own; it has no appliance yet. @throws Problem 400, 409 for a name that is there */
export async function addOwnHousehold(body: unknown): Promise<{ id: number }> {
  const told = validate<NewHouseholdBody>(newHouseholdSchema, body);
  const {
    name,
    time_zone: timeZone,
    currency,
    units,
    decimals,
    date_order: dateOrder,
    caution,
    people,
    marks,
    hemisphere,
  } = told;
  const { member } = await mayAddHousehold();
  const others = await visibleHouseholds();
  if (others.some((other) => other.name.toLowerCase() === name.toLowerCase()))
    throw new Problem(
      409,
      'name-taken',
      `There is a household called “${name}” already. Call it otherwise.`,
      {
        fields: [{ path: 'name', message: 'taken' }],
      },
    );
  const household: NewHousehold = {
    name,
    timeZone,
    currency,
    own: true,
    settings: {
      caution,
      units,
      decimals,
      dateOrder,
      people,
      marks,
      hemisphere,
      notifyAt: '08:00',
      leadChilled: USUAL_LEAD.chilled,
      leadFrozen: USUAL_LEAD.frozen,
      feedKey: newFeedKey(),
    },
  };
  const id = await transaction(async (db) => {
    const added = await addHousehold(db, household);
    if (member) await putMembership(db, added, member.member, 'cook');
    return added;
  });
  return { id };
}

export const householdIdSchema = Joi.object({ id: Joi.number().integer().min(1).required() });

/** The household this device shows from now on. @throws Problem 404 */
export async function chosenHousehold(body: unknown): Promise<{ id: number; name: string }> {
  const { id } = validate<{ id: number }>(householdIdSchema, body);
  const household = (await visibleHouseholds()).find((one) => one.id === id);
  if (!household) throw new Problem(404, 'not-found', 'This household is not there any more.');
  return { id, name: household.name };
}

export const personSchema = Joi.object({ name: plainText(40).allow('').required() });

/** Who uses this device; empty: nobody says. @throws Problem 404 for a name that is not of the household */
export async function namedPerson(body: unknown): Promise<{ name: string }> {
  const { name } = validate<{ name: string }>(personSchema, body);
  const { settings } = await ourHousehold();
  if (name !== '' && !settings.people.includes(name))
    throw new Problem(
      404,
      'not-found',
      `Nobody called “${name}” lives here. Add the name under Household first.`,
    );
  return { name };
}

export const demoSchema = Joi.object({});

/** The demo as it was at first. @returns its id, which is another one than before */
export async function demoPutBack(body: unknown): Promise<{ id: number }> {
  validate(demoSchema, body);
  const before = (await readHouseholds(sql())).find((household) => household.demo);
  await mustBeCookOf(before?.id);
  await putDemoBack();
  const demo = (await readHouseholds(sql())).find((household) => household.demo);
  if (!demo) throw new Problem(500, 'fault', 'The demo did not come back. Try again.');
  return { id: demo.id };
}

export const removeHouseholdSchema = Joi.object({
  id: Joi.number().integer().min(1).required(),
  name: plainText(60).required().description('its name, to be sure'),
});

/** Deletes a household with all that is in it; its name must be said. @throws Problem 403, 404 or 422 */
export async function removeHousehold(body: unknown): Promise<{ name: string }> {
  const { id, name } = validate<{ id: number; name: string }>(removeHouseholdSchema, body);
  await mustBeCookOf(id);
  await mustProve();
  await transaction(async (db) => {
    const household = await lockHousehold(db, id);
    if (!household) throw new Problem(404, 'not-found', 'This household is not there any more.');
    if (household.demo) throw new Problem(403, 'demo-stays', 'The demo stays; it can be put back as it was.');
    if (household.name.trim().toLowerCase() !== name.trim().toLowerCase())
      throw new Problem(422, 'refused', `Write its name, ${household.name}, to delete it.`, {
        fields: [{ path: 'name', message: 'is not its name' }],
      });
    await clearHouseholds(db, id);
  });
  return { name };
}
