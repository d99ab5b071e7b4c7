import path from 'node:path';
import PDFDocument from 'pdfkit';

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

/** Begins a PDF without a page, with the application's fonts; `done` resolves to its bytes once it was ended. */
export function beginPaper(
  title: string,
  sizeMm: readonly [number, number],
): { document: PDFKit.PDFDocument; page: PDFKit.PDFDocumentOptions; done: Promise<Buffer> } {
  const page = { size: [sizeMm[0] * MM, sizeMm[1] * MM] as [number, number], margin: 0 };
  const document = new PDFDocument({ ...page, autoFirstPage: false, info: { Title: title } });
  for (const [name, file] of Object.entries(FONTS)) {
    document.registerFont(name, path.join(process.cwd(), 'node_modules', file));
  }
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<Buffer>((resolve, reject) => {
    document.on('end', () => resolve(Buffer.concat(chunks)));
    document.on('error', reject);
  });
  return { document, page, done };
}
