import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { temporaryFolder } from '../scripts/lib/temporary.mjs';
import { ROOT } from './lib/euporia';

const folder = temporaryFolder('euporia-plan');
const demo = join(ROOT, 'demo/1-attic-bedroom.project.json');

function plan(...args: string[]) {
  const result = spawnSync('npm', ['run', '--silent', 'plan', '--', ...args], {
    cwd: ROOT,
    encoding: 'utf8',
    // No database can be reached from here.
    env: { ...process.env, DATABASE_URL: 'postgres://nobody@127.0.0.1:1/none' },
  });
  return { code: result.status, out: result.stdout, err: result.stderr };
}
const written = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

describe('npm run plan', () => {
  it('prints the computed plan as JSON and nothing else', () => {
    const { code, out } = plan(demo);
    expect(code).toBe(0);
    const report = JSON.parse(out);
    expect(Object.keys(report)).toEqual(
      expect.arrayContaining(['purse', 'slots', 'shared', 'recipes', 'warnings', 'asOf', 'coreVersion']),
    );
    expect(report.slots).toHaveLength(22);
    for (const slot of report.slots)
      for (const option of slot.options)
        expect(option).toMatchObject({
          cashAdded: { likely: expect.any(Number) },
          minutesAdded: { likely: expect.any(Number) },
          usableOn: expect.stringMatching(/^\d{4}-/),
        });
    const { money } = report.purse;
    expect(money.spent + money.promised + money.planned.likely + money.keptBack.likely + money.free.likely).toBe(
      money.budget,
    );
  });

  it('counts dates from --as-of', () => {
    const june = JSON.parse(plan('--as-of', '2026-06-01T09:00-04:00', demo).out);
    const later = JSON.parse(plan('--as-of=2026-06-08T09:00-04:00', demo).out);
    expect(later.purse.days.toReveal).toBe(june.purse.days.toReveal - 7);
    expect(later.slots[0].options[0].usableOn > june.slots[0].options[0].usableOn).toBe(true);
  });

  it.each<[string, () => string[], RegExp]>([
    ['no file', () => [], /usage/],
    ['a file that is not there', () => [join(folder, 'none.json')], /cannot be read/],
    ['no JSON', () => [written('text.json', 'hello')], /not JSON/],
    ['another format', () => [written('other.json', '{"format":"x"}')], /format: "x"; accepted/],
    ['a newer file', () => [written('newer.json', '{"format":"euporia.project","formatVersion":70}')], /newer Euporia/],
    [
      'a bad field, with its place',
      () => [written('bad.json', readFileSync(demo, 'utf8').replace('"quantity": 1', '"quantity": -1'))],
      /slots\.\d+\.quantity: -1; accepted: .*from 1/,
    ],
    ['a bad moment', () => ['--as-of', 'tomorrow', demo], /"tomorrow" is not a moment/],
    ['an unknown option', () => ['--fast', demo], /unknown option "--fast"/],
  ])('refuses %s: reason on standard error, nothing on standard output, exit 2', (_what, args, reason) => {
    const result = plan(...args());
    expect(result.code).toBe(2);
    expect(result.out).toBe('');
    expect(result.err).toMatch(reason);
  });
});
