import type { FillRule } from '../../surface/polygons';

/** What of a style decides how an element is cut. */
export interface Style {
  fill: string;
  fillRule: FillRule;
  isHidden: boolean;
}

/** How an element is drawn: by its parent, its attributes, the classes of the file and its own declarations, later over earlier. */
export function styleOf(
  attributes: Record<string, string>,
  parent: Style | null,
  classes: ReadonlyMap<string, Record<string, string>>,
): Style {
  const said: Record<string, string> = { ...attributes };
  for (const className of (attributes.class ?? '').split(/\s+/)) Object.assign(said, classes.get(className));
  Object.assign(said, declarations(attributes.style ?? ''));
  const fill = said.fill?.trim();
  const fillRule = said['fill-rule'];
  return {
    fill: fill === undefined || fill === 'inherit' ? (parent?.fill ?? '') : colorName(fill),
    fillRule: fillRule === 'evenodd' ? 'evenOdd' : fillRule === 'nonzero' ? 'nonZero' : (parent?.fillRule ?? 'nonZero'),
    isHidden:
      (parent?.isHidden ?? false) ||
      said.display === 'none' ||
      said.visibility === 'hidden' ||
      said.visibility === 'collapse',
  };
}

/** Declarations of a style, by name. */
export function declarations(text: string): Record<string, string> {
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
