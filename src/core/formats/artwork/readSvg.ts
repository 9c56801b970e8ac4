import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { FLAT_MM, PathError } from '../../artwork/pathOutline';
import { outlineOfSvgPath } from '../../artwork/svgOutline';
import { boxOf, type Outline, shifted } from '../../surface/outline';
import { welded } from '../../surface/polygons';
import { shapePath } from './shapePath';
import { declarations, type Style, styleOf } from './svgStyle';
import { fitted, lengthMm, PX_MM, viewBox } from './svgUnits';
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
        style: styleOf(attributes, null, this.classes),
        isSkipped: false,
      });
      return;
    }
    if (name === 'style') this.styleText = '';
    const style = styleOf(attributes, parent.style, this.classes);
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

  /** From the units of the root to millimeters: its size, and its view box fitted into it. */
  private rootMatrix(attributes: Record<string, string>): Matrix {
    const box = viewBox(attributes.viewBox);
    if (attributes.viewBox !== undefined && !box)
      throw new SvgError(`its view box cannot be read: “${attributes.viewBox.slice(0, 60)}”`, this.place());
    // Without a size, or with one in percent, the view box counts as pixels.
    const widthMm = lengthMm(attributes.width) ?? (box ? box.width * PX_MM : null);
    const heightMm = lengthMm(attributes.height) ?? (box ? box.height * PX_MM : null);
    this.size = { widthMm: widthMm ?? 0, heightMm: heightMm ?? 0 };
    if (box && widthMm !== null && heightMm !== null)
      return fitted(box, { widthMm, heightMm }, attributes.preserveAspectRatio);
    return [PX_MM, 0, 0, PX_MM, 0, 0];
  }

  /** An <svg> within another: moved, and its view box fitted into its size. */
  private innerMatrix(attributes: Record<string, string>): Matrix {
    const at = (text: string | undefined) => (lengthMm(text) ?? 0) / PX_MM;
    const place: Matrix = [1, 0, 0, 1, at(attributes.x), at(attributes.y)];
    const box = viewBox(attributes.viewBox);
    const [width, height] = [lengthMm(attributes.width), lengthMm(attributes.height)];
    if (!box || width === null || height === null) return place;
    return times(
      place,
      fitted(box, { widthMm: width / PX_MM, heightMm: height / PX_MM }, attributes.preserveAspectRatio),
    );
  }

  private draw(name: string, attributes: Record<string, string>, { matrix, style }: Frame): void {
    if (style.isHidden) return;
    const path = shapePath(name, attributes, (text) => {
      const mm = lengthMm(text);
      return mm === null ? null : mm / PX_MM;
    });
    if (path === null || path.trim() === '') return;
    let rings: Outline;
    try {
      rings = outlineOfSvgPath(path, FLAT_MM / Math.max(1e-6, stretch(matrix)));
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
