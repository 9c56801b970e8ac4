import type { Lab } from './lab';

/** Hue sectors in degrees of CIELAB, with a plain name; the last wraps around. */
const hues: readonly [number, string][] = [
  [20, 'rose'],
  [48, 'brick'],
  [68, 'orange'],
  [90, 'ochre'],
  [108, 'yellow'],
  [130, 'moss'],
  [165, 'green'],
  [218, 'teal'],
  [240, 'sea blue'],
  [298, 'blue'],
  [320, 'violet'],
  [348, 'plum'],
  [360, 'rose'],
];

/**
 * A plain proposal for a color card's name, like "deep teal" or "pale warm gray": lightness and hue in everyday words.
 * It only saves typing; two colors may get the same name.
 */
export function colorName(lab: Lab): string {
  const chroma = Math.hypot(lab.a, lab.b);
  const hue = ((Math.atan2(lab.b, lab.a) * 180) / Math.PI + 360) % 360;
  if (chroma < 10) {
    const warm = chroma < 3 ? '' : hue > 20 && hue < 130 ? 'warm ' : 'cool ';
    if (lab.L > 82 && chroma >= 4 && warm === 'warm ') return 'cream';
    if (lab.L > 92) return warm === 'warm ' ? 'cream white' : 'white';
    if (lab.L < 18) return `${warm}black`;
    return `${lab.L > 72 ? 'pale ' : lab.L < 40 ? 'dark ' : ''}${warm}gray`;
  }
  // A strong color between rose and orange is red; a weak one is brick.
  const strong = chroma > 45;
  const name = strong && hue > 20 && hue <= 48 ? 'red' : (hues.find(([to]) => hue <= to)?.[1] ?? 'rose');
  if (lab.L > 82 && chroma < 30 && hue > 60 && hue < 110) return 'cream';
  if (!strong && lab.L < 50 && hue > 35 && hue < 90) return lab.L < 30 ? 'dark wood' : 'wood brown';
  return `${lab.L > 72 ? 'pale ' : lab.L < 38 ? 'deep ' : chroma > 60 ? 'bright ' : ''}${name}`;
}
