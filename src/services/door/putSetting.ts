import { assumedCelsius } from '@/core/kitchen/assumedCelsius';
import { liftsTo } from '@/core/kitchen/liftsTo';
import type { ApplianceDrawing } from '@/core/model/drawing';
import type { Setting } from '@/core/model/setting';
import { putContainer } from '@/store/containers';
import type { Sql } from '@/store/database';
import { putDrawing, putOrder } from '@/store/drawings';
import { putFood } from '@/store/foods';
import { putCode, putHaul, putHaulLine } from '@/store/hauls';
import { putSettings } from '@/store/households';
import { putJob } from '@/store/jobs';
import { putKept } from '@/store/kept';
import { putMeasured, putReading } from '@/store/readings';
import { putWish } from '@/store/wishes';

/** Writes a setting where its kind is kept. */
export async function putSetting(db: Sql, householdId: number, setting: Setting): Promise<void> {
  switch (setting.kind) {
    case 'household':
      return putSettings(db, householdId, setting.value);
    case 'food':
      return putFood(db, householdId, setting.value.food, setting.value.retired);
    case 'wish':
      return putWish(db, householdId, setting.subject, setting.value);
    case 'job':
      return putJob(db, householdId, setting.value);
    case 'order':
      return putOrder(db, householdId, setting.value);
    case 'measured':
      return putMeasured(db, householdId, setting.subject, setting.value);
    case 'reading':
      return putReading(db, householdId, setting.subject, setting.value);
    case 'container':
      return putContainer(db, householdId, setting.subject, setting.value);
    case 'haul':
      return putHaul(db, householdId, setting.subject, setting.value);
    case 'haul-line':
      return putHaulLine(db, householdId, setting.subject, setting.value);
    case 'code':
      return putCode(db, householdId, setting.subject, setting.value);
    case 'level':
    case 'shopping':
    case 'asking':
    case 'kit':
    case 'lot-look':
    case 'sheet':
    case 'cut':
    case 'cut-reading':
    case 'cut-opening':
    case 'cut-seen':
    case 'cut-decided':
    case 'cut-plan':
    case 'drill':
    case 'thermometer':
    case 'meal':
    case 'rhythm':
    case 'round':
    case 'looked':
    case 'round-rhythm':
    case 'reset':
    case 'log-day':
    case 'shop-order':
      return putKept(db, householdId, setting);
    case 'appliance':
      return setting.value === null ? undefined : drawIn(db, householdId, setting.value);
  }
}

/** Writes a drawing with what the core works out for its zones. */
export function drawIn(db: Sql, householdId: number, drawing: ApplianceDrawing): Promise<void> {
  return putDrawing(db, householdId, drawing, (zone) => ({
    lifts: liftsTo(zone, drawing),
    assumedC: assumedCelsius(zone, drawing).celsius,
  }));
}
