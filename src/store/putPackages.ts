import { isUntrue } from '@/core/labels/isUntrue';
import { firstOutKey } from '@/core/firstout/firstOutKey';
import type { Lot, Package } from '@/core/model/package';
import { type Sql, toSqlInstant } from './database';

export async function addLot(sql: Sql, householdId: number, commandId: string, lot: Lot): Promise<void> {
  await sql.run(
    `INSERT INTO lot (id, household_id, food_id, command_id, did, start_on, amount, unit, price_minor, currency)
     VALUES (:id, :householdId, :foodId, :commandId, :did, :startOn, :amount, :unit, :priceMinor, :currency)`,
    { ...lot, householdId, commandId },
  );
}

/** A package with what it is found by, as the core worked it out. */
export interface StoredPackage {
  image: Package;
  /** First day on Today, and first day it asks for an answer. */
  nearOn: string;
  askOn: string;
  /** Its present clock has had an answer. */
  answered: boolean;
  /** Its date may still go by unanswered. */
  passingOpen: boolean;
  litres: number;
}

function columnsOf(
  householdId: number,
  { image, nearOn, askOn, answered, passingOpen, litres }: StoredPackage,
): Record<string, unknown> {
  return {
    called: image.called,
    condemned: image.condemned,
    nearOn,
    askOn,
    answered,
    passingOpen,
    litres: litres.toFixed(2),
    newLabel: isUntrue(image),
    id: image.id,
    householdId,
    lotId: image.lotId,
    foodId: image.foodId,
    code: image.code,
    here: image.gone === null,
    amount: image.amount,
    unit: image.unit,
    zoneId: image.gone === null ? image.zoneId : null,
    counterSince: image.counterSince === null ? null : toSqlInstant(image.counterSince),
    state: image.state,
    opened: image.openedOn !== null,
    startOn: image.startOn,
    useBy: image.useBy,
    bestBy: image.bestBy,
    governingDate: image.governingDate,
    quality: image.governingKind === 'best-by',
    firstOut: firstOutKey(image),
    version: image.version,
    image: JSON.stringify(image),
  };
}

/** Writes packages new to the store. */
export async function addPackages(
  sql: Sql,
  householdId: number,
  packages: readonly StoredPackage[],
): Promise<void> {
  for (const stored of packages) {
    await sql.run(
      `INSERT INTO package (id, household_id, lot_id, food_id, code, here, amount, unit, zone_id, counter_since, state,
                            opened, start_on, use_by, best_by, governing_date, quality, first_out, version, called, condemned,
                            near_on, ask_on, answered, passing_open, litres, new_label, image)
       VALUES (:id, :householdId, :lotId, :foodId, :code, :here, :amount, :unit, :zoneId, :counterSince, :state,
               :opened, :startOn, :useBy, :bestBy, :governingDate, :quality, :firstOut, :version, :called, :condemned,
               :nearOn, :askOn, :answered, :passingOpen, :litres, :newLabel, :image)`,
      columnsOf(householdId, stored),
    );
  }
}

/** Writes the after-image over the package. */
export async function putPackage(sql: Sql, householdId: number, stored: StoredPackage): Promise<void> {
  await sql.run(
    `UPDATE package
        SET code = :code,
            here = :here,
            amount = :amount,
            zone_id = :zoneId,
            counter_since = :counterSince,
            state = :state,
            opened = :opened,
            start_on = :startOn,
            use_by = :useBy,
            best_by = :bestBy,
            governing_date = :governingDate,
            quality = :quality,
            first_out = :firstOut,
            version = :version,
            called = :called,
            condemned = :condemned,
            near_on = :nearOn,
            ask_on = :askOn,
            answered = :answered,
            passing_open = :passingOpen,
            litres = :litres,
            new_label = :newLabel,
            image = :image
      WHERE household_id = :householdId
        AND id = :id`,
    columnsOf(householdId, stored),
  );
  await putBeside(sql, householdId, stored.image);
}

/** Keeps beside a package what else it is found and counted by: codes of before, dates that passed unanswered. */
export async function putBeside(sql: Sql, householdId: number, image: Package): Promise<void> {
  await putPassings(sql, householdId, image);
  for (const code of image.oldCodes ?? []) {
    await sql.run(
      `INSERT IGNORE INTO old_code (household_id, code, package_id)
       VALUES (:householdId, :code, :id)`,
      { householdId, code, id: image.id },
    );
  }
}

/** Keeps the dates that passed unanswered beside the package, for counting. */
async function putPassings(sql: Sql, householdId: number, image: Package): Promise<void> {
  await sql.run(`DELETE FROM passing WHERE household_id = :householdId AND package_id = :id`, {
    householdId,
    id: image.id,
  });
  if (image.gone?.how === 'undone') return;
  for (const passedOn of image.unanswered) {
    await sql.run(
      `INSERT INTO passing (household_id, package_id, passed_on)
       VALUES (:householdId, :id, :passedOn)`,
      { householdId, id: image.id, passedOn },
    );
  }
}
