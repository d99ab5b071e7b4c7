import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import type { SentFile } from '@/workers/sentFile';

export type { SentFile };

/** Lets so many bytes through. @throws `tooLarge` at the first one more */
const atMost = (most: number, tooLarge: Error): Transform => {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.byteLength;
      done(bytes > most ? tooLarge : null, chunk);
    },
  });
};

/**
 * Keeps what is sent as a file while it is worked on, so that it takes no memory of the server's; then it is gone.
 *
 * @param most bytes
 * @throws `tooLarge`, or as `work`
 */
export async function keepSent<Answer>(
  request: Request,
  most: number,
  tooLarge: Error,
  work: (file: SentFile) => Promise<Answer>,
): Promise<Answer> {
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLarge;
  const folder = await mkdtemp(path.join(tmpdir(), 'orderly-frost-sent-'));
  try {
    const kept = path.join(folder, 'file');
    const sent = request.body
      ? Readable.fromWeb(request.body as unknown as ReadableStream)
      : Readable.from([]);
    await pipeline(sent, atMost(most, tooLarge), createWriteStream(kept, { mode: 0o600 }), {
      signal: request.signal,
    });
    return await work({ path: kept });
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
