import type { Font } from 'opentype.js';
import { boxOf, shifted } from '../surface/outline';
import { basicOutline } from './basicShapes';
import { type Lettering, letteringOutline } from './lettering';
import { outlineOfPath, pathOfOutline } from './pathOutline';

/** A drawing as it is kept: its size and a path for each of its colors, from the bottom up. */
export interface Drawn {
  widthMm: number;
  heightMm: number;
  layers: { name: string; path: string }[];
}

/** The shape that words stand on: which, how far it reaches beyond them, and its least size; mm. */
export interface Backing {
  id: string;
  marginMm: number;
  /** 0 where it is only as large as its words ask. */
  leastWidthMm: number;
  leastHeightMm: number;
}

/**
 * Words by themselves, or in the middle of the shape that they stand on, as a layer above it.
 * @returns a drawing without layers where nothing is to be seen
 */
export function letteredLabel(font: Font, lettering: Lettering, backing: Backing | null): Drawn {
  const words = letteringOutline(font, lettering);
  const box = boxOf(words);
  if (!box) return { widthMm: 0, heightMm: 0, layers: [] };
  if (backing === null)
    return { widthMm: box.right, heightMm: box.bottom, layers: [{ name: 'Words', path: pathOfOutline(words) }] };
  const widthMm = Math.max(box.right + 2 * backing.marginMm, backing.leastWidthMm);
  const heightMm = Math.max(box.bottom + 2 * backing.marginMm, backing.leastHeightMm);
  const middle = shifted(words, (widthMm - box.right) / 2, (heightMm - box.bottom) / 2);
  return {
    widthMm,
    heightMm,
    layers: [
      { name: backing.id, path: pathOfOutline(basicOutline(backing.id, widthMm, heightMm)) },
      { name: 'Words', path: pathOfOutline(middle) },
    ],
  };
}

/** The lines of a set of labels: each once, without blank ones. */
export const labelLines = (words: string): string[] => [
  ...new Set(words.split('\n').flatMap((line) => (line.trim() === '' ? [] : [line.trim()]))),
];

/**
 * A label for each line of what was typed. Those that stand on a shape are all as large as the largest asks, so that
 * they make a set.
 */
export function labelSet(font: Font, lettering: Lettering, backing: Backing | null): { words: string; drawn: Drawn }[] {
  const lines = labelLines(lettering.words);
  const drawnAs = (backed: Backing | null) =>
    lines.map((words) => ({ words, drawn: letteredLabel(font, { ...lettering, words }, backed) }));
  const each = drawnAs(backing);
  if (backing === null) return each;
  return drawnAs({
    ...backing,
    leastWidthMm: Math.max(backing.leastWidthMm, ...each.map(({ drawn }) => drawn.widthMm)),
    leastHeightMm: Math.max(backing.leastHeightMm, ...each.map(({ drawn }) => drawn.heightMm)),
  });
}

/** The shape that a kept label stands on, read off its layers; null where it stands on none. */
export function backingOf({ widthMm, heightMm, layers }: Drawn, shapeIds: readonly string[]): Backing | null {
  const [first, words] = layers;
  const box = words && boxOf(outlineOfPath(words.path));
  if (!first || !box || !shapeIds.includes(first.name)) return null;
  return { id: first.name, marginMm: Math.min(box.left, box.top), leastWidthMm: widthMm, leastHeightMm: heightMm };
}

/** Drawings one under the other, to be looked at together. */
export function stacked(drawings: readonly Drawn[], gapMm: number): Drawn {
  let y = 0;
  const layers: Drawn['layers'] = [];
  for (const { heightMm, layers: own } of drawings) {
    for (const [n, layer] of own.entries()) {
      const path = pathOfOutline(shifted(outlineOfPath(layer.path), 0, y));
      layers[n] = { name: layer.name, path: (layers[n]?.path ?? '') + path };
    }
    y += heightMm + gapMm;
  }
  return {
    widthMm: Math.max(0, ...drawings.map(({ widthMm }) => widthMm)),
    heightMm: Math.max(0, y - gapMm),
    layers,
  };
}
