import { createConnection } from 'mysql2/promise';
import { freePort, prepareDatabase, serve, stopPid } from '../../scripts/machine.mjs';
import { openThrowaway } from '../../scripts/mariadb.mjs';
import { command, get } from '../fixtures/api';
import { leftBy } from '../fixtures/leftBy';
import { readPages } from '../fixtures/readPages';

interface Row {
  code: string;
  here: number;
  use_by: string | null;
  best_by: string;
}

it.each(['0.1', '0.4'])(
  'a database that version %s left is brought up to date, read, undone, printed, lived in',
  async (version) => {
    const database = await openThrowaway('upgrade');
    let pid: number | undefined;
    try {
      const db = await createConnection({ uri: database.url, dateStrings: true });
      for (const statement of leftBy(version)) await db.query(statement);
      const [rows] = await db.query('SELECT code, here, use_by, best_by FROM package WHERE here = TRUE');
      const before = rows as Row[];
      const [commands] = await db.query('SELECT id FROM command ORDER BY recorded_at, id');
      await prepareDatabase(database.url);
      // A second start finds nothing to do.
      await prepareDatabase(database.url);
      const port = await freePort();
      pid = (await serve({ port, host: '127.0.0.1', url: database.url, quiet: true })).pid;
      const base = `http://localhost:${port}`;
      expect((await get('/api/v1/health', base)).body.migrations).toBe('current');

      // Read: everything that was there is there, dated the same or earlier, and every page shows.
      expect((await get('/api/v1/stock?limit=1', base)).body.total).toBe(before.length);
      for (const { code, use_by, best_by } of before.filter((_, at) => at % 9 === 0)) {
        const { status, body } = await get(`/api/v1/packages/${code}`, base);
        expect([code, status]).toEqual([code, 200]);
        expect(body.trail.length).toBeGreaterThan(0);
        if (use_by !== null) expect(body.use_by <= use_by).toBe(true);
        expect(body.best_by <= best_by || use_by !== null).toBe(true);
      }
      for (const address of [
        '/',
        '/stock',
        '/haul',
        '/outage',
        '/ledger',
        '/kitchen',
        '/kitchen/check',
        '/kitchen/foods',
        '/kitchen/household',
        '/kitchen/upkeep',
      ])
        expect([address, (await fetch(`${base}${address}`)).status]).toEqual([address, 200]);

      // Undo, and its undo, of what the old version did.
      const { entries } = (await get('/api/v1/ledger?limit=200', base)).body as {
        entries: { id: string; type: string; says: string; codes: string[] }[];
      };
      const listed = new Set(entries.map(({ id }) => id));
      expect((commands as { id: string }[]).filter(({ id }) => !listed.has(id))).toEqual([]);
      const trout = entries.find(({ type, codes }) => type === 'haul.store' && codes.length === 4);
      const undone = await command({ type: 'ledger.undo', command: trout?.id }, base);
      expect([undone.status, undone.body.answers?.[0].packages.length]).toEqual([200, 4]);
      expect((await get('/api/v1/stock?limit=1', base)).body.total).toBe(before.length - 4);
      const redone = await command({ type: 'ledger.undo', command: undone.body.answers[0].id }, base);
      expect(redone.status).toBe(200);
      expect((await get('/api/v1/stock?limit=1', base)).body.total).toBe(before.length);

      // Print: the codes of old labels still lead home.
      const sheet = await fetch(`${base}/api/v1/labels?codes=${trout?.codes.join(',')}&size=sheet-21`);
      expect(sheet.headers.get('content-type')).toBe('application/pdf');
      const [page] = await readPages(sheet);
      expect(page?.text).toContain(trout?.codes[0]);

      // Lived in: moved, taken, measured, stored beside the old ones, with codes that come never twice.
      const [{ code = '' } = {}] = before;
      const { id, version: seen } = (await get(`/api/v1/packages/${code}`, base)).body;
      expect(
        (await command({ type: 'package.move', package: id, version: seen, zone: null }, base)).status,
      ).toBe(200);
      const { zones } = (await get('/api/v1/zones', base)).body as { zones: { id: string; kind: string }[] };
      expect((await command({ type: 'zone.measure', zone: zones[0]?.id, celsius: 3 }, base)).status).toBe(
        200,
      );
      const today = new Date().toISOString().slice(0, 10);
      const more = await command(
        {
          type: 'haul.store',
          lines: [{ food: 'trout', amount: 500, unit: 'g', packs: 5, start: { did: 'bought', on: today } }],
        },
        base,
      );
      const codes = more.body.answers[0].packages.map(({ code: one }: { code: string }) => one) as string[];
      expect(codes.filter((one) => before.some((old) => old.code === one))).toEqual([]);
      await db.end();
    } finally {
      if (pid) await stopPid(pid);
      await database.close();
    }
  },
  400_000,
);
