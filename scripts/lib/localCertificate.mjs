// A certificate of one's own for the local network: camera, clipboard and locks want a page that is secure.
import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const DAY_MS = 24 * 60 * 60 * 1000;
/** Browsers refuse certificates that are good for longer than this. */
const GOOD_DAYS = 397;
/** One that is over so soon is made anew. */
const LEAST_DAYS = 14;

/** What an IP address and a name are called in a certificate. */
const IP = 7;
const NAME = 2;

/**
 * The certificate of a data folder, made once; made anew shortly before it is over. The key stays in the folder, readable
 * for its owner alone.
 * @param names and addresses that it is for
 * @returns its files, and its SHA-256 fingerprint as browsers show it
 */
export async function localCertificate(folder, { names, addresses, nowMs }) {
  const place = join(folder, 'certificate');
  mkdirSync(place, { recursive: true, mode: 0o700 });
  const certPath = join(place, 'cert.pem');
  const keyPath = join(place, 'key.pem');
  let isNew = false;
  if (!isGood(certPath, keyPath, nowMs)) {
    const { generate } = await import('selfsigned');
    const made = await generate([{ name: 'commonName', value: 'Euporia on this network' }], {
      keyType: 'ec',
      curve: 'P-256',
      algorithm: 'sha256',
      notBeforeDate: new Date(nowMs - DAY_MS),
      notAfterDate: new Date(nowMs + GOOD_DAYS * DAY_MS - DAY_MS),
      extensions: [
        { name: 'basicConstraints', cA: false },
        { name: 'keyUsage', digitalSignature: true },
        { name: 'extKeyUsage', serverAuth: true },
        {
          name: 'subjectAltName',
          altNames: [...names.map((value) => ({ type: NAME, value })), ...addresses.map((ip) => ({ type: IP, ip }))],
        },
      ],
    });
    writeFileSync(keyPath, made.private, { mode: 0o600 });
    writeFileSync(certPath, made.cert, { mode: 0o644 });
    isNew = true;
  }
  const { fingerprint256 } = new X509Certificate(readFileSync(certPath));
  return { certPath, keyPath, fingerprint: fingerprint256, isNew };
}

/** Whether there is one that is still good for a while. */
function isGood(certPath, keyPath, nowMs) {
  if (!existsSync(certPath) || !existsSync(keyPath)) return false;
  try {
    const { validTo } = new X509Certificate(readFileSync(certPath));
    return Date.parse(validTo) - nowMs > LEAST_DAYS * DAY_MS;
  } catch {
    return false;
  }
}
