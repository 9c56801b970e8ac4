import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxOf, outlineAreaMm2 } from '../../surface/outline';
import { writeCutSvg } from '../cutting/writeSvg';
import { inOwnBox, readSvg, SvgError } from './readSvg';
import { readTransform } from './transform';

const svg = (inside: string, root = 'width="100mm" height="50mm" viewBox="0 0 100 50"') =>
  `<?xml version="1.0"?>\n<svg xmlns="http://www.w3.org/2000/svg" ${root}>\n${inside}\n</svg>`;
const boxed = (text: string) => {
  const box = boxOf(readSvg(text).layers.flatMap(({ outline }) => outline));
  return box && [box.left, box.top, box.right, box.bottom].map((mm) => Math.round(mm * 100) / 100);
};
const refusal = (text: string): SvgError => {
  try {
    readSvg(text);
  } catch (error) {
    if (error instanceof SvgError) return error;
    throw error;
  }
  throw new Error('it was read');
};

describe('units (SVG 2: 96 pixels to the inch)', () => {
  it.each([
    ['100mm', '50mm', 10],
    ['10cm', '5cm', 10],
    ['4in', '2in', 10.16],
    ['288pt', '144pt', 10.16],
    ['384px', '192px', 10.16],
    ['384', '192', 10.16],
    ['24pc', '12pc', 10.16],
    ['400Q', '200Q', 10],
  ])('%s × %s around 100 × 50 makes 10 units %d mm', (width, height, mm) => {
    expect(
      boxed(svg('<rect width="10" height="10"/>', `width="${width}" height="${height}" viewBox="0 0 100 50"`)),
    ).toEqual([0, 0, mm, mm]);
  });
  it('without a size the view box counts as pixels; without a view box, pixels too', () => {
    expect(boxed(svg('<rect width="96" height="48"/>', 'viewBox="0 0 96 96"'))).toEqual([0, 0, 25.4, 12.7]);
    expect(boxed(svg('<rect width="96" height="48"/>', ''))).toEqual([0, 0, 25.4, 12.7]);
    expect(boxed(svg('<rect width="2in" height="48"/>', ''))).toEqual([0, 0, 50.8, 12.7]);
  });
  it('a view box of other proportions stands in the middle, at an edge, or is stretched, as the file says', () => {
    const at = (aspect: string) =>
      boxed(svg('<rect width="10" height="10"/>', `width="100mm" height="50mm" viewBox="0 0 10 10" ${aspect}`));
    expect(at('')).toEqual([25, 0, 75, 50]);
    expect(at('preserveAspectRatio="xMinYMid meet"')).toEqual([0, 0, 50, 50]);
    expect(at('preserveAspectRatio="none"')).toEqual([0, 0, 100, 50]);
  });
});

describe('transforms', () => {
  it.each([
    ['translate(10 5)', [10, 5, 20, 15]],
    ['translate(10)', [10, 0, 20, 10]],
    ['scale(2)', [0, 0, 20, 20]],
    ['scale(2, 3)', [0, 0, 20, 30]],
    ['rotate(90 10 10)', [10, 0, 20, 10]],
    ['matrix(1 0 0 1 3 4)', [3, 4, 13, 14]],
    ['translate(20,0) scale(2)', [20, 0, 40, 20]],
    ['skewX(45)', [0, 0, 20, 10]],
  ])('%s', (transform, box) => {
    expect(boxed(svg(`<rect width="10" height="10" transform="${transform}"/>`))).toEqual(box);
  });
  it('of groups go around those inside', () => {
    expect(
      boxed(svg('<g transform="translate(10 0)"><g transform="scale(2)"><rect x="1" width="10" height="10"/></g></g>')),
    ).toEqual([12, 0, 32, 20]);
  });
  it('that cannot be read are refused with their place', () => {
    const error = refusal(svg('<rect width="1" height="1" transform="wobble(3)"/>'));
    expect(error.message).toContain('wobble');
    expect(error.place?.line).toBe(3);
    expect(readTransform('scale(1,2,3)')).toBeNull();
  });
});

describe('shapes', () => {
  it.each([
    ['<circle cx="20" cy="20" r="10"/>', Math.PI * 100],
    ['<ellipse cx="20" cy="20" rx="10" ry="5"/>', Math.PI * 50],
    ['<rect width="20" height="10" rx="2"/>', 200 - (4 - Math.PI) * 4],
    ['<polygon points="0,0 10,0 10,10"/>', 50],
    ['<polyline points="0 0 10 0 10 10 0 10"/>', 100],
    ['<path d="M0 0H20V10H0ZM5 2V8H15V2Z"/>', 200 - 60],
    ['<path fill-rule="evenodd" d="M0 0H20V10H0ZM5 2H15V8H5Z"/>', 200 - 60],
    ['<path d="M0 0H20V10H0ZM5 2H15V8H5Z"/>', 200],
  ])('%s encloses its area', (shape, area) => {
    const found = outlineAreaMm2(readSvg(svg(shape)).layers[0]?.outline ?? []);
    expect(Math.abs(found - area)).toBeLessThan(area * 0.005);
  });
});

describe('colors', () => {
  it('make layers, by attribute, style or class, from the bottom up', () => {
    const read = readSvg(
      svg(
        '<style>.deep{fill:#123}</style><rect width="9" height="9" fill="rgb(255, 0, 0)"/><g style="fill: #00FF00"><rect x="10" width="9" height="9"/></g><rect class="deep" x="20" width="9" height="9"/><rect x="30" width="9" height="9" fill="#f00"/>',
      ),
    );
    expect(read.layers.map(({ color, outline }) => [color, outline.length])).toEqual([
      ['#ff0000', 2],
      ['#00ff00', 1],
      ['#112233', 1],
    ]);
  });
  it('of one kind are welded where they overlap', () => {
    const [layer] = readSvg(svg('<rect width="10" height="10"/><rect x="5" width="10" height="10"/>')).layers;
    expect(layer?.outline).toHaveLength(1);
    expect(outlineAreaMm2(layer?.outline ?? [])).toBeCloseTo(150, 6);
  });
  it('what has no fill is lines to cut: a window in its frame, each path by itself', () => {
    const [layer] = readSvg(
      svg(
        '<g fill="none" stroke="#000"><path d="M0 0H90V40H0ZM10 10H80V30H10Z"/><rect x="5" y="5" width="9" height="9"/></g>',
      ),
    ).layers;
    expect(layer?.color).toBe('lines');
    expect(layer?.outline).toHaveLength(3);
  });
  it('what is hidden is not cut', () => {
    expect(boxed(svg('<rect width="10" height="10"/><g display="none"><rect width="90" height="40"/></g>'))).toEqual([
      0, 0, 10, 10,
    ]);
  });
});

describe('what is left out', () => {
  it('is named with its reason and place; nothing of it is run or fetched', () => {
    const read = readSvg(
      svg(
        '<rect width="10" height="10"/>\n<script>alert(1)</script>\n<image href="http://example.invalid/a.png"/>\n<text>Tea</text>\n<use href="other.svg#a"/>\n<foreignObject><rect width="90" height="9"/></foreignObject>',
      ),
    );
    expect(read.dropped.map(({ what, place }) => [what, place.line])).toEqual([
      ['script', 4],
      ['image', 5],
      ['text', 6],
      ['use', 7],
      ['foreignObject', 8],
    ]);
    expect(boxOf(read.layers.flatMap(({ outline }) => outline))?.right).toBe(10);
  });
  it('definitions are not drawn', () => {
    expect(boxed(svg('<defs><rect width="90" height="40"/></defs><rect width="10" height="10"/>'))).toEqual([
      0, 0, 10, 10,
    ]);
  });
});

describe('files that are refused', () => {
  it.each([
    ['hello', null],
    ['<html></html>', 1],
    [svg('<rect width="10" height="10">'), 4],
    [svg('<path d="M0 0 L oops"/>'), 3],
    [svg('<text>Only words</text>'), null],
    [svg(''), null],
    [svg('<rect width="1" height="1"/>', 'viewBox="0 0 zero 10"'), 2],
    [
      '<!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg"><rect width="1" height="1"/></svg>',
      1,
    ],
    [svg('<rect width="1" height="1" transform="scale(1e12)"/>'), 3],
  ])('%s', (text, line) => {
    const error = refusal(text);
    expect(error.message.length).toBeGreaterThan(8);
    if (line !== null) expect(error.place?.line).toBe(line);
  });

  it('are all that is thrown, whatever the file holds: seeded fuzz', () => {
    const good = svg(
      '<g transform="rotate(10)"><path d="M0 0C10 0 20 10 20 20S5 9 4 4Z" style="fill:#abc"/><circle r="4" cx="9" cy="9"/></g><text>x</text>',
    );
    const change = fc.record({ at: fc.nat(good.length - 1), cut: fc.nat(12), put: fc.string({ maxLength: 8 }) });
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 6 }), (changes) => {
        let text = good;
        for (const { at, cut, put } of changes) text = text.slice(0, at) + put + text.slice(at + cut);
        try {
          readSvg(text);
        } catch (error) {
          expect(error).toBeInstanceOf(SvgError);
        }
      }),
      { numRuns: 1500, seed: 20261128 },
    );
  });
});

describe('a file of our own', () => {
  it('comes back to the same outlines, without its names and edges', () => {
    const outline = [
      [
        [10, 10],
        [40, 10],
        [40, 30],
        [10, 30],
      ],
    ] as const;
    const text = writeCutSvg({
      title: 'Sheet 1',
      widthMm: 200,
      lengthMm: 100,
      parts: [
        {
          number: 1,
          name: 'Label',
          nth: 1,
          xMm: 10,
          yMm: 10,
          widthMm: 30,
          lengthMm: 20,
          turnedDeg: 0,
          outline,
          lines: outline,
        },
      ],
      leftovers: [],
    });
    const read = readSvg(text);
    expect([read.widthMm, read.heightMm]).toEqual([200, 100]);
    expect(boxOf(read.layers.flatMap((layer) => layer.outline))).toEqual({ left: 10, top: 10, right: 40, bottom: 30 });
    expect(inOwnBox(read)).toMatchObject({ widthMm: 30, heightMm: 20 });
  });
});
