import type { Wording } from '@/core/units/wording';
import { beginPaper, MM, PAPER_INK, PAPER_SLATE } from './paper';

/** A strip that fits a hand: half an A5. */
const PAGE_MM = [105, 210] as const;
const EDGE = 9 * MM;
const BOX_PT = 10;

/** A strip of paper that is written on line by line, as many pages as it takes. */
export interface Strip {
  /** Writes a line, `aside` points from the edge; returns nothing. */
  write(font: 'heading' | 'text', size: number, words: string, aside?: number): void;
  /** Leaves room before the next line, points. */
  space(points: number): void;
  /** A box to tick before the line that was written last. */
  box(): void;
  end(): Promise<Buffer>;
}

/** Begins a strip of paper. */
export function beginStrip(title: string, wording: Wording): Strip {
  const { document, page, done } = beginPaper(title, PAGE_MM, wording);
  const wide = PAGE_MM[0] * MM - 2 * EDGE;
  const bottom = PAGE_MM[1] * MM - EDGE;
  let y = bottom;
  return {
    write: (font, size, words, aside = 0) => {
      const width = wide - aside;
      document.font(font).fontSize(size);
      const high = Math.min(document.heightOfString(words, { width }), size * 3.9);
      if (y + high > bottom) {
        document.addPage(page);
        y = EDGE;
        document.font(font).fontSize(size);
      }
      document
        .fillColor(font === 'heading' ? PAPER_INK : PAPER_SLATE)
        .text(words, EDGE + aside, y, { width, height: high, ellipsis: true });
      y += high;
    },
    space: (points) => {
      y += points;
    },
    box: () => {
      document
        .rect(EDGE, y - BOX_PT - 3, BOX_PT, BOX_PT)
        .lineWidth(0.8)
        .stroke(PAPER_SLATE);
    },
    end: () => {
      document.end();
      return done;
    },
  };
}
