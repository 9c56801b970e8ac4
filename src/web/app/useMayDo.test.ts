import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { mayDo, worksAt } from '@contract/permissions';
import { acts } from '@core/acts';
import { describe, expect, it } from 'vitest';

const STAGES = join(import.meta.dirname, '../stages');
/** Where a helper works: the hunt, what is wanted, the bench. */
const FOLDERS = ['hunt', 'bench'];
const FILES = [
  'sketch/HuntingListPage.tsx',
  'balance/ShoppingListPage.tsx',
  'balance/Cheaper.tsx',
  'balance/Instead.tsx',
];

const sources = [
  ...FOLDERS.flatMap((folder) =>
    readdirSync(join(STAGES, folder), { recursive: true, encoding: 'utf8' })
      .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
      .map((name) => `${folder}/${name}`),
  ),
  ...FILES,
].map((name) => readFileSync(join(STAGES, name), 'utf8'));
const done = new Set(sources.flatMap((text) => [...text.matchAll(/\brun\(\s*'(\w+)'/g)].map(([, kind = '']) => kind)));

/** Acts on those pages that plan the project: whoever only hunts and makes leaves them to who plans. */
const PLANNING = [
  'addOption',
  'editProject',
  'editRecipe',
  'editRecipes',
  'editSpot',
  'forgetFactor',
  'removeFind',
  'removeSource',
  'saveSupply',
  'sellPiece',
];

describe('what a helper may do', () => {
  it('is all that the pages of a helper offer, but for what plans the project', () => {
    expect(done.size).toBeGreaterThan(30);
    const refused = [...done].filter((kind) => !mayDo('helper', kind));
    expect(refused.sort()).toEqual(PLANNING);
  });

  it('are acts that there are, and none of another stage', () => {
    for (const kind of done) expect(acts.ids).toContain(kind);
    for (const kind of ['createProject', 'removeProject', 'fillSlot', 'editSlot', 'issueBill', 'saveOverride'])
      expect(mayDo('helper', kind)).toBe(false);
  });

  it('takes place at the hunt, the lists and the bench, but not where hours and places are planned', () => {
    for (const path of ['hunt', 'hunt/card', 'list', 'balance/list', 'bench', 'bench/step', 'bench/log'])
      expect(worksAt('helper', path)).toBe(true);
    for (const path of ['bench/hours', 'balance', 'brief', 'huntsman', 'compare'])
      expect(worksAt('helper', path)).toBe(false);
    expect(worksAt('stylist', 'bench/hours')).toBe(true);
  });
});
