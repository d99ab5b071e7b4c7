// The certificate that a household makes for itself, so that its phones have a secure address: only then do pages work without a network.
import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { generate } from 'selfsigned';

const DAY_MS = 86_400_000;
/** Longer ones phones do not take; made anew a month before its end. */
const LASTS_DAYS = 800;
const ANEW_DAYS = 30;
const NAMES = ['localhost'];

/** Addresses of this machine in the house, IPv4. */
export function homeAddresses() {
  return Object.values(os.networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
}

/** True while it covers these addresses and lasts. */
function isGood(pem, addresses) {
  const certificate = new X509Certificate(pem);
  const lasts = Date.parse(certificate.validTo) - Date.now() > ANEW_DAYS * DAY_MS;
  return lasts && addresses.every((address) => certificate.checkIP(address) !== undefined);
}

/**
 * The household's certificate and key as files, made where there is none that fits.
 *
 * @param folder where they are kept @param addresses of this machine in the house
 */
export async function homeCertificate(folder, addresses) {
  const files = { key: path.join(folder, 'home-key.pem'), cert: path.join(folder, 'home-certificate.pem') };
  const all = ['127.0.0.1', ...addresses];
  if (existsSync(files.key) && existsSync(files.cert) && isGood(readFileSync(files.cert), all)) return files;
  mkdirSync(folder, { recursive: true });
  const made = await generate([{ name: 'commonName', value: 'Orderly Frost, this household' }], {
    algorithm: 'sha256',
    keyType: 'ec',
    notAfterDate: new Date(Date.now() + LASTS_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, critical: true },
      { name: 'keyUsage', digitalSignature: true, keyCertSign: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [...NAMES.map((value) => ({ type: 2, value })), ...all.map((ip) => ({ type: 7, ip }))],
      },
    ],
  });
  writeFileSync(files.key, made.private, { mode: 0o600 });
  writeFileSync(files.cert, made.cert);
  return files;
}
