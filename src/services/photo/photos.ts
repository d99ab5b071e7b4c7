import sharp from 'sharp';
import { v4 as newUuid } from 'uuid';
import { sql } from '@/store/database';
import { addPhoto, readPhoto } from '@/store/photos';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { ourHousehold } from '../household/household';

/** As large as a phone's camera makes them; larger pictures are bombs. */
const MOST_PIXELS = 120_000_000;
const LONGEST_PX = 1280;
const QUALITY = 78;

/**
 * Keeps a photo: turned as it was held, shrunk to what a screen shows, without place, time and device that the camera wrote into it.
 * A command puts it to a package afterwards.
 *
 * @throws Problem 415 for what is no picture
 */
export async function keepPhoto(bytes: Buffer): Promise<{ id: string }> {
  const household = await ourHousehold();
  let jpeg: Buffer;
  try {
    jpeg = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY })
      .toBuffer();
  } catch {
    throw new Problem(
      415,
      'no-picture',
      'That is no picture this kitchen can read: send a JPEG, PNG or WebP.',
    );
  }
  const id = newUuid();
  await addPhoto(sql(), household.id, { id, keptAt: now(), jpeg });
  return { id };
}

/** The bytes of a photo. @throws Problem 404 */
export async function photoBytes(id: string): Promise<Buffer> {
  const household = await ourHousehold();
  const jpeg = await readPhoto(sql(), household.id, id);
  if (!jpeg) throw new Problem(404, 'not-found', 'There is no such photo here.');
  return jpeg;
}
