import { describe, expect, it } from 'vitest';
import { spotKindOfName, spotKinds } from './spotKinds';

describe('the kind of a spot by its name', () => {
  it.each([
    ['Mantel', 'mantel'],
    ['Living room fireplace', 'mantel'],
    ['Dining table', 'diningTable'],
    ['Coffee table', 'coffeeTable'],
    ['Hall table', 'console'],
    ['Wall over the bench', 'wall'],
    ['Shelves over the sink', 'shelfRun'],
    ['Reading corner', 'floorArea'],
    ['Kitchen window', 'window'],
    ['Window sill in the bath', 'window'],
    ['Gallery wall', 'galleryWall'],
    ['Bed wall', 'bedWall'],
    ['Front porch', 'porch'],
    ['Dining sideboard', 'sideboard'],
    ['Washstand tray', 'tray'],
    ['Somewhere', null],
    ['Tableau', null],
    ['', null],
  ])('“%s”: %s', (name, kind) => {
    expect(spotKindOfName(name)).toBe(kind);
  });

  it('is told by its own name for every kind that has a word for it, and no two share a word', () => {
    for (const { id, name } of spotKinds.all)
      if (!name.includes(' or ')) expect([name, spotKindOfName(name)]).toEqual([name, id]);
    const words = spotKinds.all.flatMap((kind) => kind.words);
    expect(new Set(words).size).toBe(words.length);
  });
});
