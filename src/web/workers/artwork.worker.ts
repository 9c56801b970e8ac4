import { layerOutline, type ThinPlace, thinPlaces } from '@core/artwork/artwork';
import { basicOutline } from '@core/artwork/basicShapes';
import { fontOf } from '@core/artwork/fonts.data';
import { type Backing, type Drawn, labelSet, letteredLabel, stacked } from '@core/artwork/label';
import { type Lettering, missingSigns, readFont } from '@core/artwork/lettering';
import { pathOfOutline } from '@core/artwork/pathOutline';
import { type BladePath, bladePath, type Machine, type OffMat, offMat } from '@core/cutting/machine/bladePath';
import { type Dropped, inOwnBox, type Place, readSvg, SvgError } from '@core/formats/artwork/readSvg';
import type { Outline } from '@core/surface/outline';
import { expose } from 'comlink';
import { fontUrls } from './fontUrls';

const fonts = new Map<string, Promise<ReturnType<typeof readFont>>>();

function fontNamed(id: string) {
  const known = fonts.get(id);
  if (known) return known;
  const url = fontUrls[id];
  if (url === undefined) throw new Error(`no typeface "${id}"`);
  const read = fetch(url)
    .then((response) => {
      if (!response.ok) throw new Error(`typeface ${id}: ${response.status}`);
      return response.arrayBuffer();
    })
    .then(readFont);
  fonts.set(id, read);
  // One that did not come is asked for again the next time.
  read.catch(() => fonts.delete(id));
  return read;
}

/** Words set in a typeface, on a label or by themselves. */
async function letter(lettering: Lettering, backing: Backing | null): Promise<Drawn & { missing: string[] }> {
  const font = await fontNamed(fontOf(lettering.fontId)?.id ?? 'nunito700');
  return { ...letteredLabel(font, lettering, backing), missing: missingSigns(font, lettering.words) };
}

/** Labels of a set, how they look together, and what their typeface has no outline for. */
export interface LabelSet {
  each: { words: string; drawn: Drawn }[];
  together: Drawn;
  missing: string[];
}

/** A label for each line of words. */
async function letterSet(lettering: Lettering, backing: Backing | null): Promise<LabelSet> {
  const font = await fontNamed(fontOf(lettering.fontId)?.id ?? 'nunito700');
  const each = labelSet(font, lettering, backing);
  const drawings = each.map(({ drawn }) => drawn);
  return {
    each,
    together: stacked(drawings, lettering.letterHeightMm / 2),
    missing: missingSigns(font, lettering.words),
  };
}

const shape = (id: string, widthMm: number, heightMm: number): Drawn => ({
  widthMm,
  heightMm,
  layers: [{ name: id, path: pathOfOutline(basicOutline(id, widthMm, heightMm)) }],
});

/** What came of a file: a drawing with what was left out, or why it cannot be read and where. */
export type Imported =
  | { ok: true; drawn: Drawn; dropped: Dropped[] }
  | { ok: false; reason: string; place: Place | null };

function refused<T>(read: () => T): T | { ok: false; reason: string; place: Place | null } {
  try {
    return read();
  } catch (error) {
    if (error instanceof SvgError) return { ok: false, reason: error.message, place: error.place };
    throw error;
  }
}

const importSvg = (text: string): Imported =>
  refused((): Imported => {
    const read = readSvg(text);
    const own = inOwnBox(read);
    return {
      ok: true,
      drawn: {
        widthMm: own.widthMm,
        heightMm: own.heightMm,
        layers: own.layers.map(({ color, outline }) => ({ name: color, path: pathOfOutline(outline) })),
      },
      dropped: read.dropped,
    };
  });

/** Where a drawing is too thin for a film, all its colors. */
const thin = (layers: readonly { name: string; path: string }[], leastStrokeMm: number): ThinPlace[] =>
  layers.flatMap(({ name, path }) => [...thinPlaces(layerOutline({ name, path, colorCardId: null }), leastStrokeMm)]);

/** What a cutting machine makes of a file. */
export type Cutting =
  | { ok: true; rings: Outline; off: OffMat[]; path: BladePath | null; dropped: Dropped[] }
  | { ok: false; reason: string; place: Place | null };

/** How often a search says how far it is, ms. */
const TELL_MS = 100;

/** Reads a file as the machine takes it, and finds the way of its blade. */
const cutSvg = (text: string, machine: Machine, tell: (share: number) => void): Cutting =>
  refused((): Cutting => {
    const read = readSvg(text);
    const rings = read.layers.flatMap(({ outline }) => outline);
    const off = offMat(rings, machine);
    let told = performance.now();
    const path =
      off.length > 0
        ? null
        : bladePath(rings, machine, (share) => {
            if (performance.now() - told > TELL_MS) {
              told = performance.now();
              tell(share);
            }
            return true;
          });
    return { ok: true, rings, off, path, dropped: read.dropped };
  });

const work = { letter, letterSet, shape, importSvg, thin, cutSvg };
export type ArtworkWork = typeof work;
expose(work);
