import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { lanAddresses } from './lib/lan.mjs';
import { localCertificate } from './lib/localCertificate.mjs';

const ipv4 = (address: string, internal = false) => ({ family: 'IPv4' as const, address, internal });

describe('addresses in the local network', () => {
  it('are those that others reach, private ones first, each once', () => {
    expect(
      lanAddresses({
        lo: [ipv4('127.0.0.1', true)],
        eth0: [ipv4('203.0.113.9'), { family: 'IPv6', address: 'fe80::1', internal: false }],
        wlan0: [ipv4('192.168.1.20'), ipv4('192.168.1.20')],
        down: [ipv4('169.254.10.1')],
        gone: undefined,
      }),
    ).toEqual(['192.168.1.20', '203.0.113.9']);
  });

  it.each([
    ['10.0.0.4', true],
    ['172.16.0.1', true],
    ['172.31.255.1', true],
    ['172.32.0.1', false],
    ['192.168.0.2', true],
    ['192.169.0.2', false],
  ])('%s is private: %s (RFC 1918)', (address, isPrivate) => {
    expect(lanAddresses({ a: [ipv4('203.0.113.9'), ipv4(address)] })[0] === address).toBe(isPrivate);
  });

  it('are none where there is no network', () => {
    expect(lanAddresses({ lo: [ipv4('127.0.0.1', true)] })).toEqual([]);
  });
});

describe('the certificate of a data folder', () => {
  const folder = mkdtempSync(join(tmpdir(), 'euporia-certificate-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const now = Date.parse('2026-06-01T12:00:00Z');
  const day = 24 * 60 * 60 * 1000;
  const of = (nowMs = now) =>
    localCertificate(folder, { names: ['localhost', 'studio.local'], addresses: ['127.0.0.1', '192.168.1.20'], nowMs });

  it('is for the names and addresses of this machine, its key for its owner alone', async () => {
    const made = await of();
    expect(made.isNew).toBe(true);
    const certificate = new X509Certificate(readFileSync(made.certPath));
    for (const name of ['localhost', 'studio.local']) expect(certificate.checkHost(name)).toBe(name);
    for (const ip of ['127.0.0.1', '192.168.1.20']) expect(certificate.checkIP(ip)).toBe(ip);
    expect(certificate.checkHost('elsewhere.example')).toBeUndefined();
    expect(certificate.ca).toBe(false);
    expect(statSync(made.keyPath).mode & 0o077).toBe(0);
    expect(made.fingerprint).toBe(certificate.fingerprint256);
    // Browsers refuse what is good for longer than 398 days.
    expect((Date.parse(certificate.validTo) - Date.parse(certificate.validFrom)) / day).toBeLessThanOrEqual(398);
  });

  it('stays the same, until it is nearly over', async () => {
    const first = await of();
    expect((await of(now + 100 * day)).fingerprint).toBe(first.fingerprint);
    const later = await of(now + 390 * day);
    expect([later.isNew, later.fingerprint === first.fingerprint]).toEqual([true, false]);
  });

  it('is made anew where the file is none', async () => {
    const { certPath } = await of();
    writeFileSync(certPath, 'no certificate');
    expect((await of()).isNew).toBe(true);
  });
});
