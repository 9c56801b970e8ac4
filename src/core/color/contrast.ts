import { hexFromLab, type Lab } from './lab';

/** Relative luminance of an sRGB color code, WCAG 2.1 (0.03928 and 0.04045 are the same for 8 bits). */
export function relativeLuminance(hex: string): number {
  const channel = (at: number): number => {
    const c = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * channel(1) + 0.7152 * channel(3) + 0.0722 * channel(5);
}

/**
 * Contrast of two color codes, 1 to 21, WCAG 2.1. Never rounded before it is compared.
 * @param one six hex digits with #
 * @example #ffffff and #000000 → 21
 */
export function contrast(one: string, other: string): number {
  const [a, b] = [relativeLuminance(one), relativeLuminance(other)];
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}

/** Black or white, whichever reads better on a color: at least 4.58 to 1 on any. */
export function readableOn(color: Lab): '#000000' | '#ffffff' {
  const hex = hexFromLab(color);
  return contrast(hex, '#000000') >= contrast(hex, '#ffffff') ? '#000000' : '#ffffff';
}
