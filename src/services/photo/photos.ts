import sharp from 'sharp';
import { v4 as newUuid } from 'uuid';
import { sql } from '@/store/database';
import { addPhoto, countPhotos, readPhoto } from '@/store/photos';
import { now } from '../door/clock';
import { Problem } from '../door/problem';
import { ourHousehold } from '../household/household';

/** As large as a phone's camera makes them; larger pictures are bombs. */
export const MOST_PIXELS = 120_000_000;
/** What is said of bytes that are no picture. */
export const NO_PICTURE = (): Problem =>
  new Problem(415, 'no-picture', 'This file isn’t a picture we can read. Send a JPEG, PNG or WebP.');

/** The most photos a household keeps. */
const MOST_PHOTOS = 3000;
const LONGEST_PX = 1280;
/** Letters of a receipt need more. */
const LETTERS_PX = 2200;
const QUALITY = 78;

/**
 * Keeps a photo: turned as it was held, shrunk to what a screen shows, without place, time and device that the camera wrote into it.
 * A command puts it to a package afterwards.
 *
 * @throws Problem 415 for what is no picture
 */
export const keepPhoto = (bytes: Buffer): Promise<{ id: string }> => keep(bytes, LONGEST_PX);

/** Keeps the photo of a receipt, so large that its letters are read; `haul.set` puts it to its haul. @throws like {@link keepPhoto} */
export const keepReceipt = (bytes: Buffer): Promise<{ id: string }> => keep(bytes, LETTERS_PX);

/** The first bytes of what is said to be taken: a JPEG, a PNG, a WebP. Others may be decoded too, and are not what was said. */
const BEGINNINGS = [/^\xff\xd8\xff/, /^\x89PNG\r\n\x1a\n/, /^RIFF[\s\S]{4}WEBP/];

/** @throws Problem 415 for a file of another kind */
export function refuseOtherFiles(bytes: Buffer): void {
  const begin = bytes.subarray(0, 12).toString('latin1');
  if (!BEGINNINGS.some((one) => one.test(begin))) throw NO_PICTURE();
}

async function keep(bytes: Buffer, longest: number): Promise<{ id: string }> {
  refuseOtherFiles(bytes);
  const household = await ourHousehold();
  if ((await countPhotos(sql(), household.id)) >= MOST_PHOTOS)
    throw new Problem(422, 'refused', `This household keeps ${MOST_PHOTOS} photos already, and no more.`);
  let jpeg: Buffer;
  try {
    jpeg = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({ width: longest, height: longest, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: QUALITY })
      .toBuffer();
  } catch {
    throw NO_PICTURE();
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
