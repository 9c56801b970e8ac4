/**
 * The path of a basic shape, as SVG defines it.
 * @param length reads a length in the units of the drawing; null where it cannot
 * @returns null where it draws nothing: a size that is missing, zero or not a length
 */
export function shapePath(
  name: string,
  attributes: Readonly<Record<string, string>>,
  length: (text: string | undefined) => number | null,
): string | null {
  const at = (id: string) => length(attributes[id]) ?? 0;
  if (name === 'path') return attributes.d ?? null;
  if (name === 'rect')
    return rectPath(at('x'), at('y'), at('width'), at('height'), length(attributes.rx), length(attributes.ry));
  if (name === 'circle') return ovalPath(at('cx'), at('cy'), at('r'), at('r'));
  if (name === 'ellipse') return ovalPath(at('cx'), at('cy'), at('rx'), at('ry'));
  const numbers = (attributes.points ?? '').trim().split(/[\s,]+/);
  return numbers.length < 6 ? null : `M${numbers.slice(0, numbers.length - (numbers.length % 2)).join(' ')}Z`;
}

function ovalPath(cx: number, cy: number, rx: number, ry: number): string | null {
  if (rx <= 0 || ry <= 0) return null;
  return `M${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}Z`;
}

function rectPath(
  x: number,
  y: number,
  width: number,
  height: number,
  rx: number | null,
  ry: number | null,
): string | null {
  if (width <= 0 || height <= 0) return null;
  // One radius stands for both, and neither is larger than half its side.
  const across = Math.min(width / 2, Math.max(0, rx ?? ry ?? 0));
  const down = Math.min(height / 2, Math.max(0, ry ?? rx ?? 0));
  if (across === 0 || down === 0) return `M${x} ${y}H${x + width}V${y + height}H${x}Z`;
  const arc = (toX: number, toY: number) => `A${across} ${down} 0 0 1 ${toX} ${toY}`;
  return [
    `M${x + across} ${y}H${x + width - across}`,
    arc(x + width, y + down),
    `V${y + height - down}`,
    arc(x + width - across, y + height),
    `H${x + across}`,
    arc(x, y + height - down),
    `V${y + down}`,
    arc(x + across, y),
    'Z',
  ].join('');
}
