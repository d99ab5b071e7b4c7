import { readFileSync } from 'node:fs';
import path from 'node:path';
import { foods, index } from '../../../tests/fixtures/reference';
import { madeUpLines, TYPED_ON, TYPED_ZONES, type TypedLine } from '../../../tests/fixtures/typedLines';
import { parseQuickLine } from './parseQuickLine';
import type { QuickReading } from './quickLine';

const vocabulary = { foods: index, zones: TYPED_ZONES, today: TYPED_ON };

/** A reading in the words of the table: food, amount, packs, then whatever keys the table asks for. */
function sayReading({ line, faults, parts }: QuickReading, wanted: string): string {
  if (wanted.startsWith('?')) return faults.map(({ says }) => says).join(' ');
  if (!line)
    return `? ${faults.map(({ says, candidates }) => `${says} [${candidates.join(' | ')}]`).join(' ')}`;
  const told: Record<string, unknown> = {
    ...line,
    ...line.start,
    price: line.priceMinor,
    printed: line.printed && `${line.printed.kind}:${line.printed.date}`,
  };
  const keys = [...wanted.matchAll(/(?<=\s)(\w+)=/g)].map(([, key = '']) => `${key}=${String(told[key])}`);
  const packs = line.packs > 1 || wanted.includes('×') ? [`×${line.packs}`] : [];
  const guessed = wanted.includes('guessed') && parts.some((part) => part.guessed) ? ['guessed'] : [];
  return [line.food, `${line.amount}${line.unit}`, ...packs, ...keys, ...guessed].join(' ');
}

const table = ['typedLines', 'spokenLines']
  .flatMap((name) => readFileSync(path.join(process.cwd(), `tests/fixtures/${name}.txt`), 'utf8').split('\n'))
  .filter((row) => row.includes(' => ') && !row.startsWith('#'))
  .map((row) => row.split(' => ') as [string, string]);

describe('lines as people type them', () => {
  it('are at least four hundred, none twice', () => {
    expect(new Set(table.map(([typed]) => typed)).size).toBe(table.length);
    expect(table.length).toBeGreaterThanOrEqual(400);
  });

  it.each(table)('%s => %s', (typed, wanted) => {
    const reading = parseQuickLine(typed, vocabulary);
    const said = sayReading(reading, wanted);
    if (!wanted.startsWith('?')) {
      expect(said).toBe(wanted);
      return;
    }
    const [, words = '', first] = /^\?\s*([^[]*?)\s*(?:\[(.*)\])?$/.exec(wanted) ?? [];
    expect(reading.line).toBeNull();
    expect(said).toContain(words);
    if (first) expect(reading.faults[0]?.candidates.slice(0, 3)).toContain(first);
  });
});

/** Read as meant, asked about with what was meant among the first three, asked otherwise, or read as something else. */
function outcome(meant: TypedLine): 'right' | 'asked' | 'lost' | 'wrong' {
  const { line, faults } = parseQuickLine(meant.text, vocabulary);
  const name = foods.find(({ id }) => id === meant.food)?.name ?? '';
  if (!line) {
    const offered = faults.some(
      ({ candidates, unknownFood }) =>
        candidates.slice(0, 3).includes(name) ||
        (unknownFood?.like.slice(0, 3).some(({ id }) => id === meant.food) ?? false),
    );
    const aboutFood = faults.some(
      ({ unknownFood, says }) => unknownFood || /several foods|not known/.test(says),
    );
    return offered || !aboutFood ? 'asked' : 'lost';
  }
  const amount = `${line.amount}${line.unit}${line.packs > 1 ? ` ×${line.packs}` : ''}`;
  const same =
    line.food === meant.food &&
    amount === meant.amount &&
    (meant.zone === undefined || line.zone === meant.zone) &&
    (meant.printed === undefined || `${line.printed?.kind}:${line.printed?.date}` === meant.printed) &&
    (meant.on === undefined || line.start.on === meant.on);
  return same ? 'right' : 'wrong';
}

it('reads nine in ten of 2,000 made-up lines as meant, asks about the rest, and takes none for something else', () => {
  const told = madeUpLines(foods, 2000, 12).map((meant) => ({ meant, came: outcome(meant) }));
  const of = (came: string) => told.filter((one) => one.came === came);
  if (process.env.SAY_LINES)
    for (const { meant, came } of told)
      if (came !== 'right') {
        const { line, faults } = parseQuickLine(meant.text, vocabulary);
        process.stdout.write(
          `${came}: ${meant.text} => ${meant.food} ${meant.amount} | ${line ? `${line.food} ${line.amount}${line.unit} ×${line.packs} ${line.zone} ${line.start.on}` : faults.map((f) => `${f.says} ${f.candidates.join('|')}`).join(' ')}\n`,
        );
      }
  expect(of('wrong').map(({ meant }) => meant.text)).toEqual([]);
  expect(of('lost').map(({ meant }) => meant.text)).toEqual([]);
  expect(of('right').length).toBeGreaterThanOrEqual(1800);
});
