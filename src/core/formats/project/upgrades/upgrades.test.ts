import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { planReport } from '@contract/planReport';
import { PROJECT_FILE_VERSION } from '@core/formats/project/projectFile';
import { readProjectFile } from '@core/formats/project/read';
import { computePlan } from '@core/plan/computePlan';
import { describe, expect, it } from 'vitest';
import { staples } from '../../../catalog/consumables';
import { newSupply } from '../../../plan/newRows';
import { fileUpgrades, upgradeFile } from './index';

const fixture = (version: number, kind: 'project' | 'figures' = 'project') =>
  JSON.parse(readFileSync(fileURLToPath(new URL(`fixtures/version${version}.${kind}.json`, import.meta.url)), 'utf8'));

describe('upgrades of the project file', () => {
  it('lead from every earlier version to the present one, one step each', () => {
    expect(fileUpgrades.map((entry) => entry.from)).toEqual(
      Array.from({ length: PROJECT_FILE_VERSION - 1 }, (_, n) => n + 1),
    );
  });

  it.each(fileUpgrades.map((entry) => entry.from))(
    'read a file of version %d, and its plan can be computed',
    (version) => {
      const old = fixture(version);
      expect(old.formatVersion).toBe(version);
      const read = readProjectFile(old);
      expect(read.ok ? [] : read.errors).toEqual([]);
      if (!read.ok) return;
      expect(read.file.formatVersion).toBe(PROJECT_FILE_VERSION);
      // What the old file said is still said, to the cent.
      expect(read.file.project.budget).toBe(old.project.budget);
      expect(read.file.slots).toHaveLength(old.slots.length);
      expect(computePlan(read.file, Date.parse(old.asOf)).purse.money.planned.likely).toBeGreaterThan(0);
    },
  );

  it.each(fileUpgrades.map((entry) => entry.from))(
    'give a file of version %d the plan that it had when that version was the present one',
    (version) => {
      // Written down with the plan command of the last release that wrote version 4.
      const figures = fixture(version, 'figures');
      const old = fixture(version);
      const read = readProjectFile(old);
      if (!read.ok) throw new Error(JSON.stringify(read.errors));
      // Staples came later: here they are counted as they were then, and bought.
      const counted = staples
        .filter((kind) => !read.file.supplies.some((supply) => supply.kindId === kind.id))
        .map((kind) => newSupply(kind.id, kind.id, null, null));
      const rows = { ...read.file, supplies: [...read.file.supplies, ...counted] };
      const plan = planReport(computePlan(rows, Date.parse(old.asOf)), old.asOf);
      const { spent, promised, planned, free } = plan.purse.money;
      expect({ spent, promised, planned, free }).toEqual(figures.money);
      const options = plan.slots.flatMap((slot) => slot.options);
      expect(
        Object.fromEntries(
          options.map((option) => [option.id, [option.cashAdded.likely, option.stashUsed, option.minutesAdded.likely]]),
        ),
      ).toEqual(figures.options);
    },
  );

  it('make the same of the same file each time', () => {
    expect(upgradeFile(fixture(4))).toEqual(upgradeFile(fixture(4)));
  });

  it('leave their input untouched, and what is no list for the schema to refuse', () => {
    const old = Object.freeze(fixture(1));
    const before = JSON.stringify(old);
    upgradeFile(old);
    expect(JSON.stringify(old)).toBe(before);
    const damaged = readProjectFile({ ...old, slots: 'many', finds: [null] });
    expect(damaged.ok).toBe(false);
    if (!damaged.ok)
      expect(damaged.errors.map((error) => error.field)).toEqual(expect.arrayContaining(['slots', 'sightings.0']));
  });
});
