import { describe, expect, it } from 'vitest';
import type { Artwork } from '../../artwork/artwork';
import { basicOutline } from '../../artwork/basicShapes';
import { pathOfOutline } from '../../artwork/pathOutline';
import { labFromHex } from '../../color/lab';
import { find, recipe } from '../../fixtures/projectRows';
import { cards, recipeContext } from '../../fixtures/recipes';
import { computeRecipe } from '../../recipe/computeRecipe';
import type { ChosenLayer } from '../../recipe/recipeBody';
import { boxOf } from '../../surface/outline';
import { zoneFacesOf } from './zoneFaces';

const jar = find('jar', 200, { templateId: 'vase', materialId: 'glass' });
const rectangle = (widthMm: number, heightMm: number) => pathOfOutline(basicOutline('rectangle', widthMm, heightMm));
const label = (id: string, change: Partial<Artwork> = {}): Artwork => ({
  id,
  name: id,
  widthMm: 80,
  heightMm: 40,
  layers: [
    { name: 'Label', colorCardId: 'teal', path: rectangle(80, 40) },
    { name: 'Word', colorCardId: 'white', path: 'M20 10L60 10L60 30L20 30Z' },
  ],
  text: null,
  ...change,
});

/** Six jars with layers on their outside, and what one of them then shows there. */
function bodyOf(layers: readonly Partial<ChosenLayer>[], artworks: readonly Artwork[] = [], nth = 0) {
  const made = recipe('jars', jar, 'permanentFilm', 'teal');
  const workpiece = made.body.pieces[0]?.id ?? '';
  const [base] = made.body.layers;
  if (!base) throw new Error('no layer');
  const body = {
    ...made.body,
    pieces: made.body.pieces.map((piece) => ({ ...piece, templateId: 'vase', count: 6 })),
    layers: layers.map((layer, n) => ({
      ...base,
      id: `layer ${n}`,
      techniqueId: 'filmShapes',
      zoneKeys: [`${workpiece}/body`],
      ...layer,
    })),
  };
  const context = recipeContext([jar], { artworks: new Map(artworks.map((own) => [own.id, own])) });
  const plan = computeRecipe('jars', body, context);
  return zoneFacesOf({ artworks, colorCards: cards }, plan, plan.zones[0]?.workpieceId ?? '', nth).get('body');
}
const names = ['Flour', 'Sugar', 'Rice', 'Oats', 'Lentils', 'Coffee'];

describe('what lies on a zone beside its color', () => {
  it('is the shape that was cut, in its true size and in its film’s color', () => {
    const face = bodyOf([{ artworkIds: ['Flour'] }], [label('Flour')]);
    expect(face?.paper).toBeNull();
    expect(face?.letters).toHaveLength(1);
    const [letters] = face?.letters ?? [];
    expect([letters?.widthMm, letters?.heightMm].map((mm) => Math.round(mm ?? 0))).toEqual([80, 40]);
    expect(letters?.color).toEqual(labFromHex('#2f5d62'));
  });

  it('is larger and smaller by its percentage', () => {
    const [letters] = bodyOf([{ artworkIds: ['Flour'], values: { sizePercent: 50 } }], [label('Flour')])?.letters ?? [];
    expect(letters?.widthMm).toBeCloseTo(40, 3);
  });

  it('is one color of several where it is cut so, in the place that it has in the whole', () => {
    const [word] = bodyOf([{ artworkIds: ['Flour'], values: { artworkColor: 2 } }], [label('Flour')])?.letters ?? [];
    expect([word?.widthMm, word?.heightMm].map((mm) => Math.round(mm ?? 0))).toEqual([80, 40]);
    const box = boxOf(word?.outline ?? []);
    expect([box?.left, box?.top, box?.right, box?.bottom].map((mm) => Math.round(mm ?? 0))).toEqual([20, 10, 60, 30]);
  });

  it('is of a set on each piece its own, as they are shared out when they are cut', () => {
    const labels = names.map((name, n) =>
      label(name, { layers: [{ name: '', colorCardId: null, path: rectangle(10 + n, 10) }] }),
    );
    const widths = names.map((_, nth) => bodyOf([{ artworkIds: names }], labels, nth)?.letters[0]?.widthMm ?? 0);
    expect(widths.map((mm) => Math.round(mm))).toEqual([10, 11, 12, 13, 14, 15]);
    // Two on six: three jars each.
    const two = [0, 1, 2, 3, 4, 5].map(
      (nth) => bodyOf([{ artworkIds: names.slice(0, 2) }], labels, nth)?.letters[0]?.widthMm ?? 0,
    );
    expect(two.map((mm) => Math.round(mm))).toEqual([10, 10, 10, 11, 11, 11]);
  });

  it('is nothing on the jars that a single shape does not go on', () => {
    const one = { artworkIds: ['Flour'], values: { onPieces: 1 } };
    expect(bodyOf([one], [label('Flour')], 0)?.letters).toHaveLength(1);
    expect(bodyOf([one], [label('Flour')], 1)).toBeUndefined();
  });

  it('is two shapes over each other where two films are laid, the later one on top', () => {
    const layers = [
      { artworkIds: ['Flour'], values: { artworkColor: 1 } },
      { artworkIds: ['Flour'], colorCardId: 'white', values: { artworkColor: 2 } },
    ];
    const face = bodyOf(layers, [label('Flour')]);
    expect(face?.letters).toHaveLength(2);
    expect(face?.letters.map(({ color }) => color)).toEqual([labFromHex('#2f5d62'), labFromHex('#f4f2ea')]);
  });

  it('is the paper that is laid, by its design; nothing where only paint is', () => {
    const paper = { techniqueId: 'paperTorn', coatingId: 'decoupageMedium', sheetId: 'napkin', colorCardId: 'yellow' };
    const face = bodyOf([paper]);
    expect(face?.paper?.design).toBe('Yellow');
    expect(face?.letters).toEqual([]);
    expect(bodyOf([{ techniqueId: 'brushOn', coatingId: 'chalk', colorCardId: 'white' }])).toBeUndefined();
  });

  it('is nothing of a shape that is gone, or of another piece', () => {
    expect(bodyOf([{ artworkIds: ['gone'] }], [label('Flour')])).toBeUndefined();
  });
});
