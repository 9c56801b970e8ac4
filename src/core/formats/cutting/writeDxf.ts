import type { DrawnUnit } from './cutDrawing';

/** A pair of a DXF: a group code and its value. */
const pair = (code: number, value: string | number): string => `${code}\n${value}`;

const mm = (value: number): string => (Math.round(value * 1000) / 1000).toFixed(3);

/**
 * One unit as DXF (release 12, millimeters, y upward): each outline a closed polyline on the layer CUT, the edge of the
 * unit on the layer MARKS.
 */
export function writeCutDxf(unit: DrawnUnit): string {
  const polyline = (layer: string, ring: readonly (readonly [number, number])[]): string[] => [
    pair(0, 'POLYLINE'),
    pair(8, layer),
    pair(66, 1),
    pair(10, '0.0'),
    pair(20, '0.0'),
    pair(30, '0.0'),
    // Bit 1: closed.
    pair(70, 1),
    ...ring.flatMap(([x, y]) => [
      pair(0, 'VERTEX'),
      pair(8, layer),
      pair(10, mm(x)),
      pair(20, mm(unit.lengthMm - y)),
      pair(30, '0.0'),
    ]),
    pair(0, 'SEQEND'),
    pair(8, layer),
  ];
  const { widthMm, lengthMm } = unit;
  return `${[
    pair(0, 'SECTION'),
    pair(2, 'HEADER'),
    pair(9, '$ACADVER'),
    pair(1, 'AC1009'),
    // Millimeters.
    pair(9, '$INSUNITS'),
    pair(70, 4),
    pair(9, '$EXTMIN'),
    pair(10, '0.0'),
    pair(20, '0.0'),
    pair(9, '$EXTMAX'),
    pair(10, mm(widthMm)),
    pair(20, mm(lengthMm)),
    pair(0, 'ENDSEC'),
    pair(0, 'SECTION'),
    pair(2, 'ENTITIES'),
    ...polyline('MARKS', [
      [0, 0],
      [widthMm, 0],
      [widthMm, lengthMm],
      [0, lengthMm],
    ]),
    ...unit.parts.flatMap(({ lines }) => lines.flatMap((ring) => polyline('CUT', ring))),
    pair(0, 'ENDSEC'),
    pair(0, 'EOF'),
  ].join('\n')}\n`;
}
