import type { CalendarDate } from '../calendar/calendarDate';
import type { AnswerKind } from '../firstout/askOn';
import type { Wish } from '../foods/wish';
import type { ThawMethod } from './history';
import type { IntakeLine } from './intakeLine';
import type { AmountUnit } from '../units/sayAmount';
import type { Meanwhile } from '../ledger/undo/comeBack';
import type { DiscardReason } from './package';
import type { Pieces } from '../ledger/package/partOpens';
import type { ApplianceDrawing } from './drawing';
import type { LearnedCode } from './haul';
import type { Container } from '../packaging/container';
import type { PackedLine } from '../ledger/haul/packHaul';
import type { PutAway } from '../ledger/haul/putAway';
import type { HaulChanges, NewHaul } from '../ledger/haul/setHaul';
import type { ToldLine } from '../ledger/haul/setHaulLine';
import type { HouseholdSettings, Job } from './setting';

export const COMMAND_TYPES = [
  'haul.store',
  'haul.begin',
  'haul.set',
  'haul.line',
  'haul.drop',
  'haul.pack',
  'haul.away',
  'haul.close',
  'code.learn',
  'package.take',
  'package.move',
  'package.open',
  'package.freeze',
  'package.thaw',
  'package.discard',
  'package.give',
  'package.compost',
  'package.cook',
  'package.answer',
  'package.top-up',
  'package.keep-out',
  'package.find',
  'stock.take',
  'food.add',
  'food.retire',
  'food.wish',
  'household.set',
  'job.done',
  'job.set',
  'appliance.draw',
  'appliance.remove',
  'kitchen.order',
  'zone.measure',
  'container.set',
  'container.remove',
  'ledger.undo',
  'figures.renew',
] as const;
export type CommandType = (typeof COMMAND_TYPES)[number];

/** Where the packages of a zone go that is drawn no more; `null`: to the counter. */
export interface Rehoming {
  zone: string;
  to: string | null;
}

interface Base {
  /** UUID; a repeated id answers as the first time. */
  id: string;
  /** When it happened, ISO 8601 UTC. */
  at: string;
}

interface OnPackage extends Base {
  package: string;
  /** The version the cook saw; another one is refused as stale. */
  version: number;
}

export type Command =
  | (Base & { type: 'haul.store'; lines: IntakeLine[] })
  | (Base & { type: 'haul.begin'; haul: NewHaul })
  | (Base & { type: 'haul.set'; haul: string; changes: HaulChanges })
  | (Base & { type: 'haul.line'; line: ToldLine; version: number | null })
  | (Base & { type: 'haul.drop'; line: string; version: number })
  | (Base & { type: 'haul.pack'; haul: string; lines: PackedLine[] })
  | (Base & { type: 'haul.away'; haul: string; places: PutAway[] })
  | (Base & { type: 'haul.close'; haul: string })
  | (Base & { type: 'code.learn'; code: string; means: LearnedCode })
  | (OnPackage & { type: 'package.take'; amount: number | null; pieces: Pieces | null })
  | (OnPackage & { type: 'package.move'; zone: string | null; anyway: boolean })
  | (OnPackage & { type: 'package.open' })
  | (OnPackage & { type: 'package.freeze'; zone: string; anyway: boolean })
  | (OnPackage & { type: 'package.thaw'; method: ThawMethod; zone: string | null; anyway: boolean })
  | (OnPackage & {
      type: 'package.discard';
      reason: DiscardReason;
      amount: number | null;
      pieces: Pieces | null;
    })
  | (OnPackage & { type: 'package.give' | 'package.compost'; amount: number | null; pieces: Pieces | null })
  | (OnPackage & {
      type: 'package.cook';
      amount: number | null;
      pieces: Pieces | null;
      into: IntakeLine | null;
    })
  | (OnPackage & { type: 'package.answer'; answer: AnswerKind; on: CalendarDate | null })
  | (OnPackage & { type: 'package.top-up'; amount: number; content: CalendarDate | null; cap: number | null })
  | (OnPackage & { type: 'package.keep-out' })
  | (OnPackage & { type: 'package.find'; finding: 'turning' | 'bad' })
  | (Base & {
      type: 'stock.take';
      foods: string[];
      amount: number;
      unit: AmountUnit;
      by: string | null;
      pieces: Pieces | null;
    })
  | (Base & { type: 'food.add'; copy: string; name: string; aliases: string[]; note: string; wish: Wish })
  | (Base & { type: 'food.retire'; food: string })
  | (Base & { type: 'food.wish'; food: string; wish: Wish })
  | (Base & { type: 'household.set'; changes: Partial<HouseholdSettings>; renewFeed: boolean })
  | (Base & { type: 'job.done'; job: string; frostMm: number | null })
  | (Base & { type: 'job.set'; job: Omit<Job, 'lastOn'> & { lastOn?: CalendarDate | null } })
  | (Base & {
      type: 'appliance.draw';
      appliance: ApplianceDrawing;
      version: number | null;
      rehome: Rehoming[];
    })
  | (Base & { type: 'appliance.remove'; appliance: string; rehome: Rehoming[] })
  | (Base & { type: 'kitchen.order'; appliances: string[] })
  | (Base & { type: 'zone.measure'; zone: string; celsius: number; sure: boolean })
  | (Base & { type: 'container.set'; container: Container })
  | (Base & { type: 'container.remove'; container: string })
  | (Base & { type: 'ledger.undo'; command: string; meanwhile: Meanwhile })
  | (Base & { type: 'figures.renew' });
