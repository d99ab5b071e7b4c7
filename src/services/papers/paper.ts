import PDFDocument from 'pdfkit';
import { retell } from '@/core/units/retell';
import type { Wording } from '@/core/units/wording';
import { plainFont } from './plainFont';

/** Points of a millimetre. */
export const MM = 72 / 25.4;
export const PAPER_INK = '#16302f';
export const PAPER_SLATE = '#3c5655';

const FONTS = {
  heading: '@fontsource/bricolage-grotesque/files/bricolage-grotesque-latin-700-normal.woff',
  strong: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  text: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
} as const;

export type PaperFont = keyof typeof FONTS;

/** What of a font pdfkit does not tell in its types. */
interface LoadedFont {
  _font?: { font?: { hasGlyphForCodePoint?(point: number): boolean } };
}

/** Joiners and marks that say how the letters beside them look: no letters themselves. */
const SILENT = /[\p{Cf}\p{Cc}\p{Z}\uFE00-\uFE0F]/u;

/** What stands for a name whose letters our fonts do not have: a word that sends to where it can be read. */
const ON_SCREEN = 'name on the screen';

/**
 * Words as they can be printed with a font: letters it does not have are left out, and told by “…”; of words that it has none
 * of stands `instead`.
 */
export function printable(
  document: PDFKit.PDFDocument,
  font: string,
  words: string,
  instead = ON_SCREEN,
): string {
  document.font(font);
  const loaded = (document as unknown as LoadedFont)._font?.font;
  const has = (letter: string): boolean =>
    SILENT.test(letter) || (loaded?.hasGlyphForCodePoint?.(letter.codePointAt(0) ?? 0) ?? true);
  const letters = [...words];
  if (letters.every(has)) return words;
  const told = letters.map((letter) => (has(letter) ? letter : '…')).join('');
  const short = told.replaceAll(/…[…\p{Cf}\uFE00-\uFE0F\s]*/gu, '… ').trim();
  return /[\p{L}\p{N}]/u.test(short) ? short : instead;
}

/** Begins a PDF without a page, with the application's fonts, that says its words as the household measures; `done` resolves to its bytes once it was ended. */
export function beginPaper(
  title: string,
  sizeMm: readonly [number, number],
  wording: Wording,
): { document: PDFKit.PDFDocument; page: PDFKit.PDFDocumentOptions; done: Promise<Buffer> } {
  const page = { size: [sizeMm[0] * MM, sizeMm[1] * MM] as [number, number], margin: 0 };
  const document = new PDFDocument({ ...page, autoFirstPage: false, info: { Title: title } });
  for (const [name, file] of Object.entries(FONTS)) {
    document.registerFont(name, plainFont(file));
  }
  const setFont = document.font.bind(document);
  let font = 'text';
  document.font = ((name: string) => setFont((font = name))) as typeof document.font;
  const write = document.text.bind(document) as (...told: unknown[]) => PDFKit.PDFDocument;
  document.text = ((words: string, ...told: unknown[]) =>
    write(printable(document, font, retell(words, wording)), ...told)) as typeof document.text;
  for (const measure of ['widthOfString', 'heightOfString'] as const) {
    const of = document[measure].bind(document);
    document[measure] = (words, told) => of(retell(words, wording), told);
  }
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<Buffer>((resolve, reject) => {
    document.on('end', () => resolve(Buffer.concat(chunks)));
    document.on('error', reject);
  });
  return { document, page, done };
}
