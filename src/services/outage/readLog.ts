import Joi from 'joi';
import type { BadLine, LogReadings } from '@/workers/logReadings';
import { readInWorker } from '../calculators/heavy';
import { validate } from '../door/validate';
import { viewContext } from '../household/context';

export const logTextSchema = Joi.object({
  csv: Joi.string()
    .max(900_000)
    .required()
    .description(
      'first line: names of columns, “time” and “celsius” or “fahrenheit”, and “compartment” where there are several; commas, semicolons or tabs between',
    ),
});

/** What was read of a log before it is put in. */
export interface LogRead {
  /** By what the log calls it; `part`: the compartment of that name, `null`: there is none, one has to be chosen. */
  parts: (LogReadings['parts'][number] & { part: string | null })[];
  bad: BadLine[];
}

/**
 * Reads a thermometer's log: what is in it by compartment, and which of its lines say nothing. Nothing is kept by it.
 *
 * @throws Problem 400
 */
export async function readLog(body: unknown): Promise<LogRead> {
  const { csv } = validate<{ csv: string }>(logTextSchema, body);
  const { household, kitchen } = await viewContext();
  const { dateOrder } = household.settings;
  const { parts, bad } = await readInWorker('logReadings', [csv, household.timeZone, dateOrder]);
  const partOf = (name: string): string | null => {
    const plain = name.toLowerCase();
    return (
      kitchen.compartments.find(({ called, id }) => id === name || called.toLowerCase() === plain)?.id ?? null
    );
  };
  return { parts: parts.map((one) => ({ ...one, part: partOf(one.name) })), bad };
}
