import path from 'node:path';
import sharp from 'sharp';
import { createWorker, OEM, PSM, type Worker } from 'tesseract.js';
import { MOST_LINES } from '@/core/model/limits';
import { Problem } from '../door/problem';
import { MOST_PIXELS, NO_PICTURE, refuseOtherFiles } from './photos';

/** Its letters lie beside the server: nothing is fetched while it runs. */
const LETTERS = path.join(process.cwd(), 'node_modules', '@tesseract.js-data', 'eng', '4.0.0_best_int');
/** Letters of a receipt are read best about so large. */
const WIDTH_PX = 1400;
const IDLE_MS = 120_000;
const GIVE_UP_MS = 60_000;
const MOST_WAITING = 3;
/** Below this a word was guessed rather than read, of 100. */
const LEAST_SURE = 40;

// One reader a process, also over the several bundles of a build; it leaves when nobody needs it.
const shared = globalThis as typeof globalThis & {
  orderlyFrostReader?: { worker: Promise<Worker>; waiting: number; leaves?: NodeJS.Timeout };
};

async function newReader(): Promise<Worker> {
  const worker = await createWorker('eng', OEM.LSTM_ONLY, {
    langPath: LETTERS,
    cacheMethod: 'none',
    gzip: true,
    errorHandler: () => undefined,
  });
  await worker.setParameters({
    tessedit_pageseg_mode: PSM.SINGLE_BLOCK,
    preserve_interword_spaces: '1',
    tessedit_char_blacklist: '¢{}<>~^_',
  });
  return worker;
}

/** Has the reader read; one picture after the other. */
async function withReader<Result>(work: (worker: Worker) => Promise<Result>): Promise<Result> {
  const reader = (shared.orderlyFrostReader ??= { worker: newReader(), waiting: 0 });
  if (reader.waiting >= MOST_WAITING)
    throw new Problem(429, 'too-often', 'Other receipts are being read. Try again in a minute.');
  reader.waiting += 1;
  clearTimeout(reader.leaves);
  let late: NodeJS.Timeout | undefined;
  const tooLate = new Promise<never>((_, reject) => {
    late = setTimeout(
      () =>
        reject(
          new Problem(
            422,
            'refused',
            'This picture takes too long to read. Photograph it nearer, or type it.',
          ),
        ),
      GIVE_UP_MS,
    );
  });
  const dismiss = (): void => {
    if (shared.orderlyFrostReader === reader) delete shared.orderlyFrostReader;
    void reader.worker.then((worker) => worker.terminate()).catch(() => undefined);
  };
  try {
    return await Promise.race([reader.worker.then(work), tooLate]);
  } catch (error) {
    dismiss();
    throw error;
  } finally {
    clearTimeout(late);
    reader.waiting -= 1;
    if (reader.waiting === 0) {
      reader.leaves = setTimeout(dismiss, IDLE_MS);
      reader.leaves.unref();
    }
  }
}

/** As a reader of letters sees best: upright, grey, one size, paper white. */
async function asPaper(bytes: Buffer): Promise<Buffer> {
  refuseOtherFiles(bytes);
  try {
    return await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .flatten({ background: '#ffffff' })
      .resize({ width: WIDTH_PX })
      .greyscale()
      .normalise()
      .png()
      .toBuffer();
  } catch {
    throw NO_PICTURE();
  }
}

/** Units as they are misread behind a number: a litre as a one, grams as a coin. */
const MISREAD: readonly (readonly [RegExp, string])[] = [
  [/(\d)\s?[¢qQ]g?(?=\s|$)/g, '$1 g'],
  [/(\d)\s?[kK][¢9qQ](?=\s|$)/g, '$1 kg'],
  [/(\d)\s?[mM][1I|](?=\s|$)/g, '$1 ml'],
  [/(\d) [1I|](?=\s|$)/g, '$1 l'],
];
const withUnits = (line: string): string =>
  MISREAD.reduce((text, [misread, meant]) => text.replace(misread, meant), line);

/**
 * Reads the words on a photographed receipt, a line each, for the cook to check: what was hardly read is left out. Nothing
 * is kept here.
 *
 * @throws Problem 415 for what is no picture, 422 when no words are on it, 429
 */
export async function readReceiptPhoto(bytes: Buffer): Promise<{ text: string }> {
  const paper = await asPaper(bytes);
  const { data } = await withReader((worker) => worker.recognize(paper, {}, { text: true, blocks: true }));
  const lines = (data.blocks ?? [])
    .flatMap(({ paragraphs }) => paragraphs.flatMap((paragraph) => paragraph.lines))
    .filter(({ confidence }) => confidence >= LEAST_SURE)
    .map(({ text }) => withUnits(text.replaceAll(/\s+/g, ' ').trim()))
    .filter((text) => /\p{L}{2}/u.test(text))
    .slice(0, MOST_LINES);
  if (lines.length === 0)
    throw new Problem(
      422,
      'refused',
      'No words could be read on it. Photograph it flat, near and in good light, or type it.',
    );
  return { text: lines.join('\n') };
}
