/** The shapes a zone can have; every length in millimeters. */
export type ZoneShape =
  | { kind: 'rectangle'; widthMm: number; heightMm: number; edgeMm?: number }
  | { kind: 'boxClosed'; widthMm: number; depthMm: number; heightMm: number }
  | { kind: 'boxOpenTop'; widthMm: number; depthMm: number; heightMm: number }
  | { kind: 'carcass'; widthMm: number; depthMm: number; heightMm: number }
  | {
      kind: 'sidesAndFrame';
      widthMm: number;
      depthMm: number;
      heightMm: number;
      openWidthMm: number;
      openHeightMm: number;
    }
  | { kind: 'cylinder'; diameterMm: number; heightMm: number; ends: 0 | 1 | 2 }
  | { kind: 'cone'; radiusMm: number; heightMm: number }
  | { kind: 'frustum'; largeRadiusMm: number; smallRadiusMm: number; heightMm: number }
  | { kind: 'sphere'; diameterMm: number }
  | { kind: 'cap'; radiusMm: number; heightMm: number }
  | { kind: 'frameMoulding'; openWidthMm: number; openHeightMm: number; mouldingMm: number }
  | { kind: 'turned'; meanDiameterMm: number; heightMm: number }
  | { kind: 'custom'; areaM2: number };

const M2_PER_MM2 = 1e-6;

function areaMm2(shape: Exclude<ZoneShape, { kind: 'custom' }>): number {
  switch (shape.kind) {
    case 'rectangle':
      return shape.widthMm * shape.heightMm + 2 * (shape.widthMm + shape.heightMm) * (shape.edgeMm ?? 0);
    case 'boxClosed':
      return 2 * (shape.widthMm * shape.depthMm + shape.widthMm * shape.heightMm + shape.depthMm * shape.heightMm);
    case 'boxOpenTop':
      return shape.widthMm * shape.depthMm + 2 * shape.heightMm * (shape.widthMm + shape.depthMm);
    case 'carcass':
      return shape.widthMm * shape.depthMm + 2 * shape.depthMm * shape.heightMm + shape.widthMm * shape.heightMm;
    case 'sidesAndFrame':
      return (
        2 * shape.depthMm * shape.heightMm +
        Math.max(0, shape.widthMm * shape.heightMm - shape.openWidthMm * shape.openHeightMm)
      );
    case 'cylinder':
      return Math.PI * shape.diameterMm * shape.heightMm + (shape.ends * Math.PI * shape.diameterMm ** 2) / 4;
    case 'cone':
      return Math.PI * shape.radiusMm * Math.hypot(shape.heightMm, shape.radiusMm);
    case 'frustum':
      return (
        Math.PI *
        (shape.largeRadiusMm + shape.smallRadiusMm) *
        Math.hypot(shape.heightMm, shape.largeRadiusMm - shape.smallRadiusMm)
      );
    case 'sphere':
      return Math.PI * shape.diameterMm ** 2;
    case 'cap':
      return 2 * Math.PI * shape.radiusMm * shape.heightMm;
    case 'frameMoulding':
      return 2 * shape.mouldingMm * (shape.openWidthMm + shape.openHeightMm) + 4 * shape.mouldingMm ** 2;
    case 'turned':
      return Math.PI * shape.meanDiameterMm * shape.heightMm;
    default:
      return shape satisfies never;
  }
}

/**
 * The area of one side of a shape in m². Elementary geometry; a carcass is top, two sides and front; a frame's face
 * leaves its opening out; a rectangle with `edgeMm` counts its four edges.
 */
export function shapeAreaM2(shape: ZoneShape): number {
  return shape.kind === 'custom' ? shape.areaM2 : areaMm2(shape) * M2_PER_MM2;
}
