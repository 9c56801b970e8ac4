import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { FLAT_MM, outlineOfPath, PathError } from '../../artwork/pathOutline';
import { boxOf, type Outline, shifted } from '../../surface/outline';
import { type FillRule, welded } from '../../surface/polygons';
import { shapePath } from './shapePath';
import { identity, type Matrix, moved, readTransform, stretch, times } from './transform';

/** A place in a file, from 1. */
export interface Place {
  line: number;
  column: number;
}

/** What of a file was left out, and where it stood. */
export interface Dropped {
  what: string;
  reason: string;
  place: Place;
}

/** What is drawn in one color, welded, in true millimeters. */
export interface SvgLayer {
  /** As the file writes it; empty where it says none. */
  color: string;
  outline: Outline;
}

export interface ReadSvg {
  widthMm: number;
  heightMm: number;
  layers: SvgLayer[];
  dropped: Dropped[];
}

/** The layer of what has no fill: lines to cut. */
export const LINES = 'lines';

/** Why a file cannot be read, and where. */
export class SvgError extends Error {
  readonly place: Place | null;
  constructor(message: string, place: Place | null) {
    super(message);
    this.place = place;
  }
}

/** The longest file that is read, in signs, and the most corners of one. */
const MOST_SIGNS = 4_000_000;
const MOST_POINTS = 200_000;
const MOST_DEPTH = 60;
/** Colors that are told apart; what goes beyond belongs to the last. */
const MOST_LAYERS = 12;

/** Millimeters of a unit; SVG counts 96 pixels to the inch. */
const units: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: 25.4 / 96,
  '': 25.4 / 96,
  Q: 0.25,
};

/** A length in millimeters; null for one that depends on something else, or that cannot be read. */
function lengthMm(text: string | undefined): number | null {
  const found = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?)\s*(mm|cm|in|pt|pc|px|Q|)\s*$/.exec(text ?? '');
  const mm = found ? Number(found[1]) * (units[found[2] ?? ''] ?? Number.NaN) : Number.NaN;
  return Number.isFinite(mm) ? mm : null;
}

/** What holds other elements and draws nothing itself. */
const groups = new Set(['svg', 'g', 'a', 'switch']);
/** What says something about the drawing, or is drawn only where something refers to it: passed over without a word. */
const silent = new Set([
  'title',
  'desc',
  'metadata',
  'defs',
  'style',
  'symbol',
  'clipPath',
  'mask',
  'linearGradient',
  'radialGradient',
  'pattern',
  'marker',
  'filter',
  'namedview',
]);
const drawn = new Set(['path', 'rect', 'circle', 'ellipse', 'polygon', 'polyline']);
/** Why an element is left out. */
const reasons: Readonly<Record<string, string>> = {
  script: 'a script is never run',
  image: 'a picture of pixels has no outline to cut',
  text: 'letters have no outline in it; turn them into paths, or set them here',
  use: 'a copy by reference; make it a shape of its own',
  foreignObject: 'another kind of document',
  line: 'a line has no inside',
  animate: 'a blade does not move like that',
  iframe: 'another document',
};

interface Style {
  fill: string;
  fillRule: FillRule;
  isHidden: boolean;
}
interface Frame {
  name: string;
  matrix: Matrix;
  style: Style;
  /** Whether nothing inside is drawn. */
  isSkipped: boolean;
}

/**
 * Reads an SVG into outlines in true millimeters: paths and basic shapes, in groups, with transforms, units and a view
 * box. Scripts, pictures, text and references are left out and named; nothing outside the file is ever fetched.
 * @throws SvgError with the reason and the place
 */
export function readSvg(text: string): ReadSvg {
  if (text.length > MOST_SIGNS) throw new SvgError('the file is longer than 4 million signs', null);
  return new SvgReader(text).read();
}

class SvgReader {
  private readonly parser = new SaxesParser({ position: true, xmlns: false });
  private readonly frames: Frame[] = [];
  private readonly dropped: Dropped[] = [];
  private readonly layers = new Map<string, Outline[]>();
  private readonly classes = new Map<string, Record<string, string>>();
  private points = 0;
  private size: { widthMm: number; heightMm: number } | null = null;
  private styleText: string | null = null;
  private readonly text: string;

  constructor(text: string) {
    this.text = text;
  }

  read(): ReadSvg {
    const { parser } = this;
    parser.on('error', (error) => {
      throw new SvgError(error.message.replace(/^\d+:\d+: /, ''), this.place());
    });
    parser.on('doctype', (doctype) => {
      // Entities of a file's own can grow without end; a drawing needs none.
      if (/<!ENTITY/i.test(doctype)) throw new SvgError('it declares entities, which are not read', this.place());
    });
    parser.on('opentag', (tag) => this.open(tag as SaxesTagPlain));
    parser.on('closetag', () => this.close());
    parser.on('text', (words) => {
      if (this.styleText !== null) this.styleText += words;
    });
    parser.on('cdata', (words) => {
      if (this.styleText !== null) this.styleText += words;
    });
    parser.write(this.text).close();
    const { size } = this;
    if (size === null) throw new SvgError('there is no <svg> in it', null);
    const layers = [...this.layers].map(([color, outlines]) => ({
      color,
      outline: color === LINES || outlines.length === 1 ? outlines.flat() : welded(outlines.flat(), 'nonZero'),
    }));
    if (layers.every(({ outline }) => outline.length === 0))
      throw new SvgError(
        this.dropped.length > 0
          ? `nothing in it has an outline to cut: ${this.dropped.map(({ what }) => `<${what}>`).join(', ')} left out`
          : 'nothing in it has an outline to cut',
        null,
      );
    return { ...size, layers, dropped: this.dropped };
  }

  private place(): Place {
    return { line: this.parser.line, column: this.parser.column };
  }

  private drop(what: string, reason: string): void {
    if (this.dropped.length < 50) this.dropped.push({ what, reason, place: this.place() });
  }

  private open(tag: SaxesTagPlain): void {
    const name = tag.name.replace(/^.*:/, '');
    const attributes = tag.attributes;
    const parent = this.frames.at(-1);
    if (this.frames.length >= MOST_DEPTH) throw new SvgError('it is nested deeper than 60 groups', this.place());
    if (!parent) {
      if (name !== 'svg') throw new SvgError(`it begins with <${name}>, not with <svg>`, this.place());
      this.frames.push({
        name,
        matrix: this.rootMatrix(attributes),
        style: this.styleOf(attributes, null),
        isSkipped: false,
      });
      return;
    }
    if (name === 'style') this.styleText = '';
    const style = this.styleOf(attributes, parent.style);
    const frame: Frame = { name, matrix: parent.matrix, style, isSkipped: parent.isSkipped };
    this.frames.push(frame);
    if (frame.isSkipped) return;
    const own = this.transformOf(name, attributes.transform);
    frame.matrix = times(parent.matrix, own);
    if (groups.has(name)) {
      if (name === 'svg') frame.matrix = times(frame.matrix, this.innerMatrix(attributes));
      // Names and edges that a cut file draws beside what is cut.
      if (attributes.id === 'marks') {
        frame.isSkipped = true;
        this.drop('g', 'names and edges, which are not cut');
      }
    } else if (drawn.has(name)) this.draw(name, attributes, frame);
    else {
      frame.isSkipped = true;
      if (!silent.has(name) && !tag.name.includes(':')) this.drop(name, reasons[name] ?? 'nothing of it can be cut');
    }
  }

  private close(): void {
    const frame = this.frames.pop();
    if (frame?.name === 'style' && this.styleText !== null) {
      for (const [, names = '', inside = ''] of this.styleText.matchAll(/([^{}]+)\{([^{}]*)\}/g))
        for (const [, className = ''] of names.matchAll(/\.([\w-]+)/g))
          this.classes.set(className, { ...this.classes.get(className), ...declarations(inside) });
      this.styleText = null;
    }
  }

  private transformOf(name: string, text: string | undefined): Matrix {
    if (text === undefined) return identity;
    const matrix = readTransform(text);
    if (matrix === null)
      throw new SvgError(`<${name}> has a transform that cannot be read: “${text.slice(0, 60)}”`, this.place());
    return matrix;
  }

  private styleOf(attributes: Record<string, string>, parent: Style | null): Style {
    const said: Record<string, string> = { ...attributes };
    for (const className of (attributes.class ?? '').split(/\s+/)) Object.assign(said, this.classes.get(className));
    Object.assign(said, declarations(attributes.style ?? ''));
    const fill = said.fill?.trim();
    const fillRule = said['fill-rule'];
    return {
      fill: fill === undefined || fill === 'inherit' ? (parent?.fill ?? '') : colorName(fill),
      fillRule:
        fillRule === 'evenodd' ? 'evenOdd' : fillRule === 'nonzero' ? 'nonZero' : (parent?.fillRule ?? 'nonZero'),
      isHidden:
        (parent?.isHidden ?? false) ||
        said.display === 'none' ||
        said.visibility === 'hidden' ||
        said.visibility === 'collapse',
    };
  }

  /** From the units of the root to millimeters: its size, and its view box fitted into it. */
  private rootMatrix(attributes: Record<string, string>): Matrix {
    const box = viewBox(attributes.viewBox);
    if (attributes.viewBox !== undefined && !box)
      throw new SvgError(`its view box cannot be read: “${attributes.viewBox.slice(0, 60)}”`, this.place());
    // Without a size, or with one in percent, the view box counts as pixels.
    const widthMm = lengthMm(attributes.width) ?? (box ? box.width * (units.px ?? 1) : null);
    const heightMm = lengthMm(attributes.height) ?? (box ? box.height * (units.px ?? 1) : null);
    this.size = { widthMm: widthMm ?? 0, heightMm: heightMm ?? 0 };
    if (box && widthMm !== null && heightMm !== null)
      return fitted(box, { widthMm, heightMm }, attributes.preserveAspectRatio);
    const scale = units.px ?? 1;
    return [scale, 0, 0, scale, 0, 0];
  }

  /** An <svg> within another: moved, and its view box fitted into its size. */
  private innerMatrix(attributes: Record<string, string>): Matrix {
    const at = (text: string | undefined) => (lengthMm(text) ?? 0) / (units.px ?? 1);
    const place: Matrix = [1, 0, 0, 1, at(attributes.x), at(attributes.y)];
    const box = viewBox(attributes.viewBox);
    const [width, height] = [lengthMm(attributes.width), lengthMm(attributes.height)];
    if (!box || width === null || height === null) return place;
    const px = units.px ?? 1;
    return times(place, fitted(box, { widthMm: width / px, heightMm: height / px }, attributes.preserveAspectRatio));
  }

  private draw(name: string, attributes: Record<string, string>, { matrix, style }: Frame): void {
    if (style.isHidden) return;
    const path = shapePath(name, attributes, (text) => {
      const mm = lengthMm(text);
      return mm === null ? null : mm / (units.px ?? 1);
    });
    if (path === null || path.trim() === '') return;
    let rings: Outline;
    try {
      rings = outlineOfPath(path, FLAT_MM / Math.max(1e-6, stretch(matrix)));
    } catch (error) {
      if (!(error instanceof PathError)) throw error;
      throw new SvgError(`<${name}> cannot be read: ${error.message.slice(0, 120)}`, this.place());
    }
    this.points += rings.reduce((sum, ring) => sum + ring.length, 0);
    if (this.points > MOST_POINTS) throw new SvgError('it has more than 200,000 corners', this.place());
    const placed = rings.map((ring) => ring.map((point) => moved(matrix, point)));
    // What has no fill is a line to cut, and stays as it is drawn; what is filled is cut around what is seen of it.
    const outline = style.fill === 'none' ? placed : welded(placed, style.fillRule);
    if (outline.length === 0) return;
    if (outline.some((ring) => ring.some(([x, y]) => Math.abs(x) > 1e5 || Math.abs(y) > 1e5)))
      throw new SvgError(`<${name}> lies farther out than 100 m: check its units`, this.place());
    const color = style.fill === 'none' ? LINES : style.fill;
    const key =
      this.layers.has(color) || this.layers.size < MOST_LAYERS ? color : ([...this.layers.keys()].at(-1) ?? '');
    this.layers.set(key, [...(this.layers.get(key) ?? []), outline]);
  }
}

/** Declarations of a style, by name. */
function declarations(text: string): Record<string, string> {
  return Object.fromEntries(
    text.split(';').flatMap((entry) => {
      const at = entry.indexOf(':');
      return at < 0
        ? []
        : [
            [
              entry.slice(0, at).trim(),
              entry
                .slice(at + 1)
                .replace('!important', '')
                .trim(),
            ],
          ];
    }),
  );
}

/** A color as one would write it: hexadecimal where it says red, green and blue, else its name. */
function colorName(text: string): string {
  const value = text.toLowerCase();
  const short = /^#([0-9a-f])([0-9a-f])([0-9a-f])$/.exec(value);
  if (short) return `#${[1, 2, 3].map((n) => `${short[n]}${short[n]}`).join('')}`;
  const rgb = /^rgb\(\s*(\d+)[\s,]+(\d+)[\s,]+(\d+)\s*\)$/.exec(value);
  if (rgb) return `#${[1, 2, 3].map((n) => Math.min(255, Number(rgb[n])).toString(16).padStart(2, '0')).join('')}`;
  return value.slice(0, 40);
}

interface ViewBox {
  x: number;
  y: number;
  width: number;
  height: number;
}

function viewBox(text: string | undefined): ViewBox | null {
  const [x, y, width, height, ...more] = (text ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (x === undefined || y === undefined || width === undefined || height === undefined || more.length > 0) return null;
  return [x, y, width, height].every(Number.isFinite) && width > 0 && height > 0 ? { x, y, width, height } : null;
}

/** A view box in its size: in the middle and in proportion, unless the file wants it stretched or at an edge. */
function fitted(box: ViewBox, size: { widthMm: number; heightMm: number }, aspect = ''): Matrix {
  const across = size.widthMm / box.width;
  const down = size.heightMm / box.height;
  if (aspect.includes('none')) return [across, 0, 0, down, -box.x * across, -box.y * down];
  const scale = aspect.includes('slice') ? Math.max(across, down) : Math.min(across, down);
  const share = (least: RegExp, most: RegExp) => (least.test(aspect) ? 0 : most.test(aspect) ? 1 : 0.5);
  const left = (size.widthMm - box.width * scale) * share(/xMin/, /xMax/);
  const top = (size.heightMm - box.height * scale) * share(/YMin/, /YMax/);
  return [scale, 0, 0, scale, left - box.x * scale, top - box.y * scale];
}

/** A drawing in its own box: its corner at 0, 0. */
export function inOwnBox({ layers }: Pick<ReadSvg, 'layers'>): {
  widthMm: number;
  heightMm: number;
  layers: SvgLayer[];
} {
  const box = boxOf(layers.flatMap(({ outline }) => outline)) ?? { left: 0, top: 0, right: 0, bottom: 0 };
  return {
    widthMm: box.right - box.left,
    heightMm: box.bottom - box.top,
    layers: layers.map(({ color, outline }) => ({ color, outline: shifted(outline, -box.left, -box.top) })),
  };
}
