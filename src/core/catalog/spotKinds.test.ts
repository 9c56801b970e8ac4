import { describe, expect, it } from 'vitest';
import { sketchRoom } from './spotKind';
import { spotKindOfName, spotKinds } from './spotKinds';

describe('the kind of a spot by its name', () => {
  it.each([
    ['Mantel', 'mantel'],
    ['Living room fireplace', 'mantel'],
    ['Dining table', 'diningTable'],
    ['Coffee table', 'coffeeTable'],
    ['Hall table', 'console'],
    ['Wall over the bench', 'wall'],
    ['Entry bench', 'wall'],
    ['Media console', 'wall'],
    ['TV wall', 'wall'],
    ['Fireplace hearth', 'wall'],
    ['Hall console', 'console'],
    ['Behind the sofa', null],
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

describe('every kind of spot', () => {
  it.each(spotKinds.all.map((kind) => [kind.id, kind] as const))(
    '%s has what a sketch and a look ask of it',
    (_id, kind) => {
      const { widthMm, heightMm, depthMm } = kind.usual;
      expect(widthMm).toBeGreaterThan(0);
      expect(kind.view === 'plan' ? depthMm : heightMm).toBeGreaterThan(0);
      expect(kind.baseHeightMm).toBeGreaterThanOrEqual(0);
      expect(kind.hint.length).toBeGreaterThan(10);
      for (const measure of kind.measures) {
        expect(measure.standard).toBeGreaterThanOrEqual(measure.minimum);
        expect(measure.standard).toBeLessThanOrEqual(measure.maximum);
      }
      // Its scenery lies in the room that it is drawn for.
      const room = sketchRoom(kind, { widthMm: null, heightMm: null, depthMm: null, measures: {} });
      for (const shape of kind.scenery(room, {}))
        if (shape.kind === 'polygon')
          for (const [x, y] of shape.points) {
            expect(x).toBeGreaterThanOrEqual(-room.widthMm * 0.2);
            expect(x).toBeLessThanOrEqual(room.widthMm * 1.2);
            expect(y).toBeGreaterThanOrEqual(-room.heightMm * 0.2);
            expect(y).toBeLessThanOrEqual(room.heightMm * 1.2);
          }
    },
  );

  it('words are in the singular: the plural is made from them', () => {
    for (const { words } of spotKinds.all)
      for (const word of words) {
        expect(word).toBe(word.toLowerCase());
        expect(spotKindOfName(`My ${word}`)).not.toBeNull();
      }
  });
});
