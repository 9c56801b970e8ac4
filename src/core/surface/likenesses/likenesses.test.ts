import { describe, expect, it } from 'vitest';
import { pieceKinds } from '../../sourcing/pieceKinds.data';
import { completeMeasures } from '../furnitureTemplate';
import { furnitureTemplates } from '../templates';
import {
  type Likeness,
  likenessAbove,
  likenesses,
  likenessFront,
  likenessInstead,
  likenessOf,
  pieceDrawing,
} from './index';

describe('what a thing looks like by its name', () => {
  it.each([
    ['Small brass bird on a stand', 'bird'],
    ['six lemons in a bowl', 'fruitBowl'],
    ['stack of plates', 'dishStack'],
    ['cake stand', 'cakeStand'],
    ['tiered stand', 'tieredStand'],
    ['row of green books', 'bookRow'],
    ['upright old books', 'bookRow'],
    ['stack of green books', 'bookPile'],
    ['brass table lamp', 'tableLamp'],
    ['floor lamp, no shade', null],
    ['arc floor lamp', 'floorLamp'],
    ['oak cutting board', 'cuttingBoard'],
    ['Bowl for keys', 'bowl'],
    ['white pumpkins', 'pumpkin'],
    ['Grandmother’s teapot', 'teapot'],
    ['old steamer trunk with brass corners', 'suitcase'],
    ['potted fern', 'pottedPlant'],
    ['cacti', null],
    ['two cactuses', 'cactus'],
    ['bunnies', 'rabbit'],
    ['knives', 'cutlery'],
    ['Something', null],
    ['', null],
  ])('“%s” is %s', (name, id) => {
    expect(likenessOf(name)?.id ?? null).toBe(id);
  });

  it('no two have the same id, and none a word that is its own already', () => {
    const ids = likenesses.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const words = likenesses.flatMap((likeness) => likeness.words);
    expect(words.filter((word, n) => words.indexOf(word) !== n)).toEqual([]);
  });

  it('every kind of thing that houses are full of has one, or a drawing of its own', () => {
    const plain = pieceKinds.filter(({ templateId }) => templateId === 'freeBox');
    const without = plain.flatMap(({ words }) => words.filter((word) => likenessOf(word) === null));
    expect(without).toEqual([]);
  });
});

describe('a likeness in the place of a kind that says less', () => {
  it.each([
    ['planter', 'Little pot of thyme', 'pottedPlant'],
    ['planter', 'Two planters with boxwood', 'topiary'],
    ['planter', 'Planter with a crack', null],
    ['planter', 'Terracotta pot', null],
    ['tray', 'Tiered tray', 'tieredStand'],
    ['tray', 'Wooden tray', null],
    ['tray', 'Bread board', 'cuttingBoard'],
    ['lampBase', 'Table lamp', 'tableLamp'],
    ['lampBase', 'Lamp', null],
    ['lampBase', 'Table lamp without a shade', null],
    ['books', 'Row of old books', 'bookRow'],
    ['books', 'Old books', null],
    ['freeBox', 'Brass bird', 'bird'],
    [null, 'Brass bird', 'bird'],
    ['dresser', 'Dresser with a bird', null],
  ] as const)('%s “%s” is %s', (templateId, name, id) => {
    expect(likenessInstead(templateId, name)?.id ?? null).toBe(id);
  });

  it('names only kinds that there are', () => {
    for (const { instead = [] } of likenesses)
      for (const id of instead) expect(furnitureTemplates.find(id)).toBeTruthy();
  });

  it('has its boards one over the other within it', () => {
    for (const { boards = [] } of likenesses) {
      boards.forEach(({ top, bottom, left, right }, n) => {
        expect(top).toBeLessThan(bottom);
        expect(left).toBeLessThan(right);
        expect(bottom).toBeLessThan(boards[n - 1]?.top ?? 1.001);
      });
    }
  });
});

describe('a likeness', () => {
  it.each(likenesses.map((likeness) => [likeness.id, likeness] as const))(
    '%s fills its box from the front, with the color of its piece on it, and lies within it',
    (_id, likeness) => {
      const drawing = likenessFront(likeness, 200, 400);
      const points = drawing.shapes.flatMap((shape): [number, number][] =>
        shape.kind === 'ellipse'
          ? [
              [shape.cx - shape.rx, shape.cy - shape.ry],
              [shape.cx + shape.rx, shape.cy + shape.ry],
            ]
          : shape.points,
      );
      const [xs, ys] = [points.map(([x]) => x / 200), points.map(([, y]) => y / 400)];
      expect(Math.min(...xs, ...ys)).toBeGreaterThanOrEqual(-0.06);
      expect(Math.max(...xs, ...ys)).toBeLessThanOrEqual(1.06);
      // It reaches its sides and its foot: a thing is as large as it was measured.
      expect(Math.max(...xs) - Math.min(...xs)).toBeGreaterThan(0.72);
      expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThan(0.8);
      expect(Math.max(...ys)).toBeGreaterThan(0.9);
      const isGlass = likeness.id === 'goblet' || likeness.id === 'cutlery' || likeness.id === 'lights';
      expect(drawing.shapes.some(({ zoneId }) => zoneId === 'sides') || isGlass).toBe(true);
      const above = likenessAbove(likeness, 120, 80);
      expect([above.widthMm, above.heightMm]).toEqual([120, 80]);
    },
  );
});

describe('a piece that is shown by itself', () => {
  const box = furnitureTemplates.get('freeBox');
  const measures = completeMeasures(box, { widthMm: 200, depthMm: 150, heightMm: 300 });

  it('is drawn as what it is called, as large as it was measured', () => {
    const drawing = pieceDrawing(box, measures, 'Brass bird');
    expect([drawing.widthMm, drawing.heightMm]).toEqual([200, 300]);
    expect(drawing.shapes).toEqual(likenessFront(likenessOf('bird') as Likeness, 200, 300).shapes);
  });

  it('is the box of its kind where nobody knows the word, and its own kind where it has one', () => {
    expect(pieceDrawing(box, measures, 'Thingamajig')).toEqual(box.draw(measures));
    const vase = furnitureTemplates.get('vase');
    const own = completeMeasures(vase, {});
    // A vase that is called a bird stays a vase: its zones are painted, not its name.
    expect(pieceDrawing(vase, own, 'Bird vase')).toEqual(vase.draw(own));
  });

  it('has the color of its sides, so that a makeover shows on it', () => {
    for (const likeness of likenesses)
      for (const { zoneId } of likenessFront(likeness, 100, 100).shapes)
        expect(zoneId === null || box.zones(measures).some(({ id }) => id === zoneId)).toBe(true);
  });
});
