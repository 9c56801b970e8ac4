import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fc from 'fast-check';
import { SVGPathData } from 'svg-pathdata';
import { describe, expect, it } from 'vitest';
import { artwork as artworkEntity } from '../model/entities/artwork';
import { boxOf, isInside, outlineAreaMm2, rectangleOutline } from '../surface/outline';
import { type Artwork, MARK, shapeToCut, thinPlaces } from './artwork';
import { basicOutline, basicShapes } from './basicShapes';
import { fonts, isScript } from './fonts.data';
import { capitalUnits, type Lettering, letteringOutline, lineWidthMm, missingSigns, readFont } from './lettering';
import { outlineOfPath, PathError, pathOfOutline } from './pathOutline';
import { outlineOfSvgPath } from './svgOutline';

const require = createRequire(import.meta.url);
const bytesOf = (file: string): ArrayBuffer => {
  const buffer = readFileSync(require.resolve(file));
  return buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.byteLength) as ArrayBuffer;
};
const plain = readFont(bytesOf(fonts[0].file));
const set = (more: Partial<Lettering> = {}): Lettering => ({
  words: 'FLOUR',
  fontId: fonts[0].id,
  letterHeightMm: 30,
  letterSpacingMm: 0,
  lineSpacing: 1.6,
  align: 'middle',
  ...more,
});

describe('paths', () => {
  it('of a circle enclose a circle’s area, whichever command draws it', () => {
    // A cubic quarter with the usual 0.5523 differs from the circle by a fraction of a thousandth.
    const k = 0.5522847498 * 20;
    for (const path of [
      'M0 20a20 20 0 1 1 40 0a20 20 0 1 1 -40 0z',
      `M20 0C${20 + k} 0 40 ${20 - k} 40 20S${20 + k} 40 20 40S0 ${20 + k} 0 20S${20 - k} 0 20 0Z`,
    ])
      expect(outlineAreaMm2(outlineOfSvgPath(path))).toBeCloseTo(Math.PI * 400, -1);
  });

  it('have the box that another reader of paths gives them', () => {
    const number = fc.integer({ min: -200, max: 200 });
    const line = fc.oneof(
      fc.tuple(number, number).map(([x, y]) => `L${x} ${y}`),
      fc.tuple(number).map(([x]) => `h${x}`),
    );
    const four = fc.tuple(number, number, number, number);
    const cubic = fc.oneof(
      line,
      fc.tuple(four, number, number).map(([p, x, y]) => `C${p.join(' ')} ${x} ${y}`),
      four.map((p) => `s${p.join(' ')}`),
    );
    const quadratic = fc.oneof(
      line,
      four.map((p) => `q${p.join(' ')}`),
      fc.tuple(number, number).map(([x, y]) => `t${x} ${y}`),
    );
    // A smooth curve after one of the other degree has nothing to go on from: SVG says so, that reader does not.
    const commands = fc.oneof(
      fc.array(cubic, { minLength: 2, maxLength: 8 }),
      fc.array(quadratic, { minLength: 2, maxLength: 8 }),
    );
    fc.assert(
      fc.property(commands, (drawn) => {
        const path = `M3 4${drawn.join('')}Z`;
        const box = boxOf(outlineOfSvgPath(path, 0.01));
        const bounds = new SVGPathData(path).toAbs().getBounds();
        if (!box) return;
        expect(box.left).toBeGreaterThanOrEqual(bounds.minX - 0.02);
        expect(box.right).toBeLessThanOrEqual(bounds.maxX + 0.02);
        expect(Math.abs(box.left - bounds.minX)).toBeLessThan(0.5);
        expect(Math.abs(box.bottom - bounds.maxY)).toBeLessThan(0.5);
      }),
    );
  });

  it('that cannot be read are refused with a reason, and nothing else is thrown', () => {
    expect(() => outlineOfSvgPath('M0 0 L10')).toThrow(PathError);
    expect(() => outlineOfSvgPath('Z Z hello')).toThrow(PathError);
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        try {
          outlineOfSvgPath(text);
        } catch (error) {
          expect(error).toBeInstanceOf(PathError);
        }
      }),
    );
  });

  it('written and read again are the same', () => {
    const outline = outlineOfSvgPath('M0 0H40V30H0ZM10 10V20H20V10Z');
    expect(outlineOfPath(pathOfOutline(outline))).toEqual(outline);
  });
});

describe('paths as they are kept', () => {
  const number = fc.oneof(
    fc.integer({ min: -900, max: 900 }),
    fc.integer({ min: -90_000, max: 90_000 }).map((n) => n / 100),
  );
  const places = (letter: string, count: number) =>
    fc
      .array(fc.tuple(...Array.from({ length: count }, () => number)), { minLength: 1, maxLength: 3 })
      .map((all) => `${letter}${all.map((each) => each.join(' ')).join(', ')}`);
  const command = fc.oneof(places('M', 2), places('L', 2), places('C', 6), fc.constant('Z'));

  it('have the rings that the reader of any SVG path finds in them', () => {
    fc.assert(
      fc.property(fc.array(command, { maxLength: 9 }), (commands) => {
        const path = `M1 2${commands.join('')}`;
        expect(outlineOfPath(path)).toEqual(outlineOfSvgPath(path));
      }),
      { numRuns: 300 },
    );
  });

  it('are refused with a reason where a letter or a number is missing, or another stands there', () => {
    for (const [path, reason] of [
      ['M0 0L10', 'L asks for 2 numbers, and there are 1'],
      ['M0 0C1 2 3 4 5', 'C asks for 6 numbers, and there are 5'],
      ['M0 0L', 'L asks for 2 numbers, and there are 0'],
      ['M0 0Z5', 'Z asks for 0 numbers, and there are 1'],
      ['M0 0H10', '“H” does not belong in an outline'],
      ['m0 0l10 0', '“m” does not belong in an outline'],
      ['4 4', 'an outline begins with M and a place'],
    ] as const)
      expect(() => outlineOfPath(path)).toThrow(new PathError(reason));
    fc.assert(
      fc.property(fc.oneof(fc.string({ maxLength: 60 }), fc.stringMatching(/^[MLCZ0-9.,\- e]{0,40}$/)), (text) => {
        try {
          outlineOfPath(text);
        } catch (error) {
          expect(error).toBeInstanceOf(PathError);
        }
      }),
    );
  });

  it('are all that an artwork takes in', () => {
    const path = artworkEntity.fields.layers;
    const layer = (text: string) => [{ name: 'Black', colorCardId: null, path: text }];
    expect(path.safeParse(layer('M0 0L10.5 -3,1e-2 4C1 2 3 4 5 6Z')).success).toBe(true);
    expect(path.safeParse(layer('M0 0h5v5z')).error?.issues[0]?.message).toBe(
      'an outline by M, L, C and Z, its places from the upper left',
    );
  });
});

describe.each(fonts)('lettering in $id', ({ file, id }) => {
  const font = readFont(bytesOf(file));
  it('has capitals of the height that was set', () => {
    const box = boxOf(letteringOutline(font, set({ words: 'H', fontId: id })));
    expect((box?.bottom ?? 0) - (box?.top ?? 0)).toBeCloseTo(30, 1);
  });
  it('is as wide as the advances in the font’s own table say', () => {
    const mmPerUnit = 30 / capitalUnits(font);
    // One letter has no neighbor to be kerned with: its advance stands in the table of horizontal metrics.
    for (const letter of 'HnoW7') {
      const table = font.glyphs.get(font.charToGlyphIndex(letter)).advanceWidth ?? 0;
      expect(lineWidthMm(font, letter, set())).toBeCloseTo(table * mmPerUnit, 9);
    }
    const sum = [...'HOH'].reduce((total, letter) => total + lineWidthMm(font, letter, set()), 0);
    expect(lineWidthMm(font, 'HOH', set({ letterSpacingMm: 2 }))).toBeLessThanOrEqual(sum + 4 + 1e-9);
  });
  it('kerns: T and o, Y and o stand closer than their advances', () => {
    for (const pair of ['To', 'Yo']) {
      const apart = [...pair].reduce((sum, letter) => sum + lineWidthMm(font, letter, set()), 0);
      expect(lineWidthMm(font, pair, set())).toBeLessThan(apart);
    }
  });
  it('does not overlap itself: no ring crosses another, and welding it again changes nothing', () => {
    const outline = letteringOutline(font, set({ words: 'Coffee &\nSugar', fontId: id }));
    expect(outline.length).toBeGreaterThan(3);
    const again = outlineOfPath(pathOfOutline(outline));
    expect(Math.abs(outlineAreaMm2(again) - outlineAreaMm2(outline))).toBeLessThan(outlineAreaMm2(outline) * 0.005);
  });
});

describe('lettering', () => {
  it('has the holes of its letters: one in O, two in B', () => {
    expect(letteringOutline(plain, set({ words: 'O' }))).toHaveLength(2);
    expect(letteringOutline(plain, set({ words: 'B' }))).toHaveLength(3);
  });
  it('stands as it is aligned', () => {
    const box = (align: Lettering['align']) => {
      const outline = letteringOutline(plain, set({ words: 'II\nI', align }));
      const bottom = Math.max(...outline.map((ring) => Math.max(...ring.map(([, y]) => y))));
      const lower = outline.filter((ring) => ring.some(([, y]) => y > bottom - 1));
      return boxOf(lower)?.left ?? 0;
    };
    expect(box('left')).toBeLessThan(box('middle'));
    expect(box('middle')).toBeLessThan(box('right'));
  });
  it('says which signs a typeface does not have', () => {
    expect(missingSigns(plain, 'Tea 茶')).toEqual(['茶']);
  });
  it('knows which typefaces join their letters', () => {
    expect(fonts.filter(({ id }) => isScript(id)).map(({ id }) => id)).toEqual([
      'dancingScript700',
      'dancingScript400',
    ]);
  });
});

describe.each(basicShapes)('the shape $id', ({ id }) => {
  it('fills its box', () => {
    const box = boxOf(basicOutline(id, 80, 50));
    for (const [side, mm] of [
      ['left', 0],
      ['top', 0],
      ['right', 80],
      ['bottom', 50],
    ] as const)
      expect(box?.[side]).toBeCloseTo(mm, 6);
  });
});

/** An artwork of paths, kept as one that was brought in is. */
const artwork = (layers: string[], text: Artwork['text'] = null): Artwork => ({
  id: 'a',
  name: 'Jar label',
  widthMm: 100,
  heightMm: 50,
  layers: layers.map((path) => ({ name: '', colorCardId: null, path: pathOfOutline(outlineOfSvgPath(path)) })),
  text,
});
const asDrawn = { color: 0, scale: 1, isMirrored: false, borderMm: 0 };

describe('a shape to cut', () => {
  const two = artwork(['M0 0H100V50H0Z', 'M30 10H60V40H30Z']);
  it('of one color is its outline, in its own box', () => {
    const shape = shapeToCut(artwork(['M10 20H50V40H10Z']), asDrawn);
    expect(shape).toMatchObject({ widthMm: 40, heightMm: 20 });
    expect(shape?.outline).toHaveLength(1);
  });
  it('of two colors keeps one box and the same marks for both, so that they meet', () => {
    const [first, second] = [1, 2].map((color) => shapeToCut(two, { ...asDrawn, color }));
    expect(first?.widthMm).toBeCloseTo(100 + 2 * (MARK.awayMm + MARK.sideMm), 6);
    expect(second?.widthMm).toBeCloseTo(first?.widthMm ?? 0, 6);
    // The second color lies where it lay in the whole, 30 mm from its left edge.
    const inner = second?.outline.find((ring) => ring.some(([x]) => x > 20 && x < 90)) ?? [];
    expect(Math.min(...inner.map(([x]) => x))).toBeCloseTo(MARK.sideMm + MARK.awayMm + 30, 6);
  });
  it('to be pressed on is cut mirrored', () => {
    const flag = artwork(['M0 0H10V30H40V40H0Z']);
    const shape = shapeToCut(flag, { ...asDrawn, isMirrored: true });
    expect(isInside([35, 5], shape?.outline ?? [])).toBe(true);
    expect(isInside([5, 5], shape?.outline ?? [])).toBe(false);
  });
  it('with a border takes the border’s box, and the blade follows both', () => {
    const shape = shapeToCut(artwork(['M0 0H40V20H0Z']), { ...asDrawn, borderMm: 3 });
    expect(shape).toMatchObject({ widthMm: 46, heightMm: 26 });
    expect(shape?.outline).toHaveLength(1);
    expect(shape?.lines).toHaveLength(2);
  });
  it('of a color that is not there, or without an outline, is none', () => {
    expect(shapeToCut(two, { ...asDrawn, color: 3 })).toBeNull();
    const unreadable = { ...artwork([]), layers: [{ name: '', colorCardId: null, path: 'nonsense' }] };
    expect(shapeToCut(unreadable, asDrawn)).toBeNull();
  });
  it('counts the letters that are weeded', () => {
    const shape = shapeToCut(
      artwork(['M0 0H40V20H0Z'], { words: 'Tea &\nrice', fontId: 'lora400', letterHeightMm: 20 }),
      {
        ...asDrawn,
        scale: 0.5,
      },
    );
    expect(shape).toMatchObject({ letters: 8, letterHeightMm: 10 });
  });
});

describe('places that are too thin', () => {
  it('are found where a bar is thinner than the film holds, and nowhere else', () => {
    const bar = (thick: number) => [
      ...rectangleOutline(0, 0, 20, 20),
      ...rectangleOutline(19.5, 9, 40, thick),
      ...rectangleOutline(59, 0, 20, 20),
    ];
    const whole = (thick: number) =>
      shapeToCut(
        artwork([
          bar(thick)
            .map((ring) => pathOfOutline([ring]))
            .join(''),
        ]),
        asDrawn,
      )?.outline ?? [];
    expect(thinPlaces(whole(2), 1.5)).toEqual([]);
    const [place, ...more] = thinPlaces(whole(1), 1.5);
    expect(more).toEqual([]);
    expect(place?.xMm).toBeGreaterThan(18);
    expect((place?.xMm ?? 0) + (place?.widthMm ?? 0)).toBeLessThan(61);
    expect(place?.heightMm).toBeCloseTo(1, 1);
  });
  it('are not the points of a star or the corners of a square', () => {
    expect(thinPlaces(basicOutline('star', 60, 60), 1.5)).toEqual([]);
    expect(thinPlaces(rectangleOutline(0, 0, 30, 30), 1.5)).toEqual([]);
  });
  it('stand in thin script set small, and not in bold capitals of an inch', () => {
    const script = readFont(bytesOf('@fontsource/dancing-script/files/dancing-script-latin-400-normal.woff'));
    expect(
      thinPlaces(letteringOutline(script, set({ words: 'Sugar', letterHeightMm: 12 })), 1.5).length,
    ).toBeGreaterThan(0);
    expect(thinPlaces(letteringOutline(plain, set({ letterHeightMm: 25.4 })), 1.5)).toEqual([]);
  });
});
