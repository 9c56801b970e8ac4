import { readFileSync } from 'node:fs';
import { readProjectFile } from '@core/formats/project/read';
import { describe, expect, it } from 'vitest';
import { uuid } from '../../fixtures/following';
import { lookRows, thing, thingsOf } from '../../fixtures/lookRows';
import { withFinds } from '../../model/finds';
import { computePlan } from '../../plan/computePlan';
import { newPiece } from '../../sourcing/newPiece';
import { outlineAreaMm2 } from '../../surface/outline';
import { lookThings } from './lookThings';
import { seenPieceOf } from './silhouette';
import { cutOutBox, thingView, unitCutOut } from './thingView';

const triangle = [
  [
    { x: 0.2, y: 0.1 },
    { x: 0.6, y: 0.9 },
    { x: 0.2, y: 0.9 },
  ],
];
const front = { isAbove: false, isPresent: false };

/** A jug of the house on a console, with a picture of it that it was cut out of. */
function jug(change: { photoId?: string | null; cutOf?: string | null; turned?: boolean } = {}) {
  const photoId = change.photoId === undefined ? uuid(50) : change.photoId;
  const piece = {
    ...newPiece(uuid(40), 'Jug', { units: 'us', currency: 'USD', today: '2026-06-01' }),
    templateId: 'vase',
    widthMm: 200,
    heightMm: 300,
    depthMm: 200,
    photoId,
    cutOut: change.cutOf === null ? null : { photoId: change.cutOf ?? uuid(50), rings: triangle },
  };
  const rows = lookRows(
    { kind: 'console', widthMm: 1000, depthMm: 300, heightMm: 900 },
    [{ pieceId: piece.id, xMm: 100, turned: change.turned ?? false }, thing('Vase', 'vase', [100, 200, 100], [500])],
    { rows: { pieces: [piece] } },
  );
  return thingsOf(rows).find(({ name }) => name === 'Jug') as NonNullable<ReturnType<typeof thingsOf>[number]>;
}

describe('what a thing looks like', () => {
  it('is its own picture from the front, once it is cut out, and its drawing from above', () => {
    expect(thingView(jug(), front)).toEqual({
      kind: 'picture',
      picture: { photoId: uuid(50), rings: triangle, recoloredTo: null },
    });
    expect(thingView(jug(), { ...front, isAbove: true }).kind).toBe('drawing');
  });

  it('is its drawing while it has no picture, was not cut out, shows another picture now, or is turned', () => {
    for (const change of [{ photoId: null }, { cutOf: null }, { cutOf: uuid(51) }, { turned: true }])
      expect(thingView(jug(change), front).kind).toBe('drawing');
  });

  it('is a plain box only where nobody described it', () => {
    const rows = lookRows({ kind: 'console', widthMm: 1000, depthMm: 300, heightMm: 900 }, [{ name: 'Something' }]);
    expect(thingsOf(rows).map((own) => thingView(own, front).kind)).toEqual(['box']);
  });

  it('cut out weighs and covers as much as what was cut: half of its box for a triangle', () => {
    const seen = seenPieceOf(jug());
    expect((seen.areaMm2 ?? 0) / (200 * 300)).toBeCloseTo(0.5, 3);
    expect(outlineAreaMm2(seen.outline) / (seen.areaMm2 ?? 1)).toBeCloseTo(1, 3);
    // The foot of the triangle is wide, its tip at the upper left.
    const ys = seen.outline[0]?.filter(([x]) => x > 250).map(([, y]) => y) ?? [];
    expect(Math.max(...ys)).toBeLessThan(150);
  });
});

describe('a cut-out', () => {
  it('has a box in shares of its picture, and fills a square of one by one', () => {
    expect(cutOutBox(triangle).left).toBeCloseTo(0.2, 9);
    expect(cutOutBox(triangle).width).toBeCloseTo(0.4, 9);
    expect(unitCutOut(triangle)).toEqual([
      [
        [0, 0],
        [1, 1],
        [0, 1],
      ],
    ]);
    expect(cutOutBox([])).toEqual({ left: 0, top: 0, width: 1, height: 1 });
  });
});

describe('the pieces of the demo', () => {
  const read = readProjectFile(JSON.parse(readFileSync('demo/3-dining-nook.project.json', 'utf8')));
  if (!read.ok) throw new Error('the demo cannot be read');
  const plan = computePlan(withFinds(read.file), Date.parse(read.file.asOf));
  const all = plan.rows.looks.flatMap((look) => lookThings(plan, look));

  it('whose fronts are papered show the paper by its design, and only once they are done', () => {
    const chest = all.find(({ name }) => /chest/i.test(name));
    if (!chest) throw new Error('no chest');
    expect(chest.faceOf('drawers')?.paper?.design).toMatch(/olive/i);
    const later = thingView(chest, front);
    const now = thingView(chest, { ...front, isPresent: true });
    const kinds = (view: typeof later) =>
      view.kind === 'drawing' ? new Set(view.drawing.shapes.map(({ kind }) => kind)) : new Set();
    expect(kinds(later).has('rings')).toBe(true);
    expect(kinds(now).has('rings')).toBe(false);
  });

  it('with labels of film have each its own', () => {
    const labelled = all.filter(({ template, faceOf }) =>
      (template?.zones({}) ?? []).some(({ id }) => (faceOf(id)?.letters.length ?? 0) > 0),
    );
    for (const { template, faceOf, measures } of labelled)
      for (const { id } of template?.zones(measures) ?? [])
        for (const { widthMm, heightMm, outline } of faceOf(id)?.letters ?? []) {
          expect(Math.min(widthMm, heightMm)).toBeGreaterThan(0);
          expect(outline.length).toBeGreaterThan(0);
        }
  });
});
