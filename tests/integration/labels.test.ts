import { BASE, command, line } from '../fixtures/api';
import { readPages } from '../fixtures/readPages';

const sheet = (query: string): Promise<Response> => fetch(`${BASE}/api/v1/labels?${query}`);

async function storedCodes(more: Record<string, unknown>): Promise<string[]> {
  const { body } = await command({ type: 'haul.store', lines: [line(more)] });
  return body.answers[0].packages.map(({ code }: { code: string }) => code);
}

describe('a sheet of labels', () => {
  it('carries four stickers whose codes lead to the packages', async () => {
    const codes = await storedCodes({ called: 'Trout', packs: 4 });
    const response = await sheet(`codes=${codes.join(',')}&size=sheet-21&start=3`);
    expect(response.headers.get('content-type')).toBe('application/pdf');
    // Stickers 3 to 6 of the sheet: column 3 of row 1, then row 2.
    const slots = [
      [2, 0],
      [0, 1],
      [1, 1],
      [2, 1],
    ] as const;
    const places = slots.map(([column, row]) => ({
      xMm: 7.25 + column * 66,
      yMm: 15.15 + row * 38.1,
      widthMm: 63,
      heightMm: 38,
    }));
    const [page, ...more] = await readPages(response, places);
    expect(more).toEqual([]);
    expect([page?.widthMm, page?.heightMm].map((mm) => Math.round(mm ?? 0))).toEqual([210, 297]);
    expect(page?.text).toContain('400 g');
    // The date stands whole, year and all, on every sticker.
    expect(
      page?.text.match(/best by \d{1,2} [A-Z][a-z]{2} 20\d\d|use by \d{1,2} [A-Z][a-z]{2} 20\d\d/g),
    ).toHaveLength(4);
    expect(page?.codes).toEqual(codes.map((code) => `${BASE}/p/${code}`));
    for (const address of page?.codes ?? []) {
      const opened = await fetch(address ?? '');
      expect(opened.status).toBe(200);
      expect(await opened.text()).toContain(String(address).slice(-4));
    }
  });

  it('says in a clear word what its letters cannot: the food it is judged as, and where the name is', async () => {
    const codes: string[] = [];
    for (const called of ['سمك مدخن', '鯖の味噌煮', 'Щука', 'Trout 🐟 smoked', 'Kåldolmar'])
      codes.push(...(await storedCodes({ called, packs: 1, amount: 400, food: 'trout' })));
    const [page] = await readPages(await sheet(`codes=${codes.join(',')}&size=sheet-21`));
    const text = page?.text ?? '';
    expect(text.match(/Trout, raw/g)).toHaveLength(3);
    expect(text).toMatch(/Trout … smoked/);
    expect(text).toContain('Kåldolmar');
    expect(text).not.toMatch(/[\u0600-\u06FF\u0400-\u04FF\u3040-\u9FFF\uFFFD]/);
    const slip = await readPages(await fetch(`${BASE}/api/v1/slip`));
    expect(slip.length).toBeGreaterThan(0);
  });

  it('prints a roll a page a label, and refuses what cannot be', async () => {
    const codes = (await storedCodes({ packs: 2 })).join(',');
    const roll = await readPages(await sheet(`codes=${codes}&size=roll-57`));
    expect(roll.map(({ widthMm, heightMm }) => [Math.round(widthMm), Math.round(heightMm)])).toEqual([
      [57, 40],
      [57, 40],
    ]);
    const [code] = codes.split(',');
    const [lid] = await readPages(await sheet(`codes=${code}&size=roll-lid`));
    expect([lid?.widthMm, lid?.heightMm].map((mm) => Math.round(mm ?? 0))).toEqual([50, 50]);
    const [opened] = await readPages(await sheet(`codes=${code}&size=roll-opened`));
    for (const page of [lid, opened]) expect(page?.text).toMatch(/use by \d+ \w+ \d{4}/);
    expect(opened?.text).toContain(code);
    // On its way to the freezer it is labelled as it will be.
    const [frozen] = await readPages(await sheet(`codes=${code}&size=roll-57&freezing=${code}`));
    expect(frozen?.text).toMatch(/frozen \d+ \w+ \d{4}/);
    expect(frozen?.text).toMatch(/best by/);
    expect((await sheet(`codes=${codes}&start=22`)).status).toBe(400);
    expect((await sheet(`codes=${codes}&size=stamp`)).status).toBe(400);
    expect((await sheet('codes=')).status).toBe(400);
    expect((await sheet('codes=ZZ99')).status).toBe(404);
  });
});
