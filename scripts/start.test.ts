import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { restartsWithBackoff } from './lib/backoff.mjs';
import { packagesAreThere } from './lib/nodePackages.mjs';

describe('restarts', () => {
  it('wait longer each time, end after five in a short while, and are forgotten after a quiet one', () => {
    let now = 0;
    const restarts = restartsWithBackoff(() => now);
    expect(Array.from({ length: 6 }, () => restarts.next())).toEqual([500, 1000, 2000, 4000, 8000, null]);
    now += 11 * 60_000;
    expect(restarts.next()).toBe(500);
  });
});

describe('node packages', () => {
  const root = dirname(dirname(fileURLToPath(import.meta.url)));

  it('that npm ci laid by itself are good as they are', () => {
    expect(packagesAreThere(root)).toBe(true);
  });

  it('of another version, or missing, are noticed; those for other systems are not missed', () => {
    const folder = mkdtempSync(join(tmpdir(), 'euporia-packages-'));
    const lay = (wanted: object, there: object) => {
      writeFileSync(join(folder, 'package-lock.json'), JSON.stringify({ packages: { '': {}, ...wanted } }));
      mkdirSync(join(folder, 'node_modules', 'paint'), { recursive: true });
      writeFileSync(join(folder, 'node_modules', 'paint', 'package.json'), '{}');
      writeFileSync(join(folder, 'node_modules', '.package-lock.json'), JSON.stringify({ packages: there }));
      return packagesAreThere(folder);
    };
    const paint = { 'node_modules/paint': { version: '1.0.0' } };
    expect(lay(paint, paint)).toBe(true);
    expect(lay(paint, { 'node_modules/paint': { version: '0.9.0' } })).toBe(false);
    expect(lay({ ...paint, 'node_modules/brush': { version: '1.0.0' } }, paint)).toBe(false);
    expect(lay({ ...paint, 'node_modules/brush-win32': { version: '1.0.0', os: ['win32'] } }, paint)).toBe(true);
    rmSync(folder, { recursive: true, force: true });
  });
});
