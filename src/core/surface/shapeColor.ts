import type { Lab } from '../color/lab';
import { labFromHex } from '../color/lab';
import type { DrawnShape } from './drawing';
import { type Ink, inks } from './inks.data';

const inkColors = new Map<Ink, Lab>((Object.keys(inks) as Ink[]).map((ink) => [ink, labFromHex(inks[ink])]));
/** What has no color yet, and nothing of its own either. */
const bare = labFromHex('#eef0ec');
/** How much darker a line is than the zone that it lies on. */
const LINE_SHADE = -26;
/** How much of a shade the lightness takes on. */
const SHADING = 0.55;
const DARKEST = 4;
const LIGHTEST = 98;

/**
 * The color of a drawn shape: of its ink, of its zone, or bare; a little lighter or darker, so that faces tell apart. A
 * choice for the eye.
 */
export function shapeColor(
  { zoneId, ink, shade, kind }: Pick<DrawnShape, 'zoneId' | 'ink' | 'shade' | 'kind'>,
  colorOf: (zoneId: string) => Lab | null,
): Lab {
  const own = ink ?? (zoneId === null ? 'open' : undefined);
  const color = own === undefined ? (colorOf(zoneId ?? '') ?? bare) : (inkColors.get(own) ?? bare);
  const by = shade + (kind === 'line' && ink === undefined ? LINE_SHADE : 0);
  return { ...color, L: Math.max(DARKEST, Math.min(LIGHTEST, color.L + by * SHADING)) };
}
