/** The shapes a zone can have; every length in millimeters. */
export type ZoneShape =
  | { kind: 'rectangle'; widthMm: number; heightMm: number; edgeMm?: number }
  | { kind: 'panelDoor'; widthMm: number; heightMm: number; edgeMm: number; profile: PanelProfile }
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
  | { kind: 'disc'; diameterMm: number; edgeMm: number }
  | { kind: 'cylinder'; diameterMm: number; heightMm: number; ends: 0 | 1 | 2 }
  | { kind: 'cone'; radiusMm: number; heightMm: number }
  | { kind: 'frustum'; largeRadiusMm: number; smallRadiusMm: number; heightMm: number }
  | { kind: 'sphere'; diameterMm: number }
  | { kind: 'egg'; lengthMm: number; diameterMm: number }
  | { kind: 'cap'; radiusMm: number; heightMm: number }
  | { kind: 'prism'; sides: number; sideMm: number; heightMm: number; ends: 0 | 1 | 2 }
  | { kind: 'torus'; ringDiameterMm: number; tubeDiameterMm: number }
  | { kind: 'frameMoulding'; openWidthMm: number; openHeightMm: number; mouldingMm: number }
  | { kind: 'squareLeg'; topMm: number; footMm: number; heightMm: number }
  | { kind: 'turned'; meanDiameterMm: number; heightMm: number }
  | { kind: 'spindleBack'; widthMm: number; heightMm: number }
  | { kind: 'leaves'; leaves: number; lengthMm: number; widthMm: number }
  | {
      kind: 'tileJoints';
      widthMm: number;
      heightMm: number;
      tileWidthMm: number;
      tileHeightMm: number;
      jointMm: number;
    }
  | { kind: 'faces'; faces: readonly FlatFace[]; openM2: number }
  | { kind: 'custom'; areaM2: number };

/** One flat face of a zone that has several, or some alike; mm. */
export interface FlatFace {
  id: string;
  name: string;
  widthMm: number;
  heightMm: number;
  count: number;
}

export type ShapeKind = ZoneShape['kind'];

/** What a door's profile adds to its face: flat 1, shaker 1.08, raised 1.15, louvre 2, beadboard 1.15 (common practice, from memory). */
export const panelFactors = { flat: 1, shaker: 1.08, raised: 1.15, louvre: 2, beadboard: 1.15 } as const;
export type PanelProfile = keyof typeof panelFactors;

/** Turning adds a quarter to the mean cylinder; a spindle back counts 1.8 of its outline; a leaf has two faces. */
const SHAPE_TEXTURE: Partial<Record<ShapeKind, number>> = { turned: 1.25, spindleBack: 1.8, leaves: 2 };

const M2_PER_MM2 = 1e-6;

/**
 * The perimeter of an ellipse with half axes a and b, by Ramanujan's first approximation (Ramanujan 1914, from memory).
 * @returns in the unit of the half axes; exact for a circle
 */
export function ellipsePerimeter(a: number, b: number): number {
  return Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
}

/** A spheroid with semi-axes a (across) and c (along), mm². */
function spheroidMm2(a: number, c: number): number {
  if (Math.abs(a - c) < 1e-9) return 4 * Math.PI * a * a;
  if (c > a) {
    const e = Math.sqrt(1 - (a * a) / (c * c));
    return 2 * Math.PI * a * a * (1 + (c / (a * e)) * Math.asin(e));
  }
  const e = Math.sqrt(1 - (c * c) / (a * a));
  return 2 * Math.PI * a * a * (1 + ((1 - e * e) / e) * Math.atanh(e));
}

function areaMm2(shape: Exclude<ZoneShape, { kind: 'custom' }>): number {
  switch (shape.kind) {
    case 'rectangle':
      return shape.widthMm * shape.heightMm + 2 * (shape.widthMm + shape.heightMm) * (shape.edgeMm ?? 0);
    case 'panelDoor':
      // The edge is counted with one face: half of it for each when both faces are coated.
      return (
        shape.widthMm * shape.heightMm * panelFactors[shape.profile] + (shape.widthMm + shape.heightMm) * shape.edgeMm
      );
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
    case 'disc':
      return (Math.PI * shape.diameterMm ** 2) / 4 + Math.PI * shape.diameterMm * shape.edgeMm;
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
    case 'egg':
      return spheroidMm2(shape.diameterMm / 2, shape.lengthMm / 2);
    case 'cap':
      return 2 * Math.PI * shape.radiusMm * shape.heightMm;
    case 'prism': {
      const end = (shape.sides * shape.sideMm ** 2) / (4 * Math.tan(Math.PI / Math.max(3, shape.sides)));
      return shape.sides * shape.sideMm * shape.heightMm + shape.ends * end;
    }
    case 'torus':
      return Math.PI ** 2 * (shape.ringDiameterMm - shape.tubeDiameterMm) * shape.tubeDiameterMm;
    case 'frameMoulding':
      return 2 * shape.mouldingMm * (shape.openWidthMm + shape.openHeightMm) + 4 * shape.mouldingMm ** 2;
    case 'squareLeg':
      return 2 * (shape.topMm + shape.footMm) * Math.hypot(shape.heightMm, (shape.topMm - shape.footMm) / 2);
    case 'turned':
      return Math.PI * shape.meanDiameterMm * shape.heightMm;
    case 'spindleBack':
      return shape.widthMm * shape.heightMm;
    case 'leaves':
      return (shape.leaves * Math.PI * shape.lengthMm * shape.widthMm) / 4;
    case 'tileJoints': {
      const { tileWidthMm: a, tileHeightMm: b, jointMm: j } = shape;
      return shape.widthMm * shape.heightMm * (1 - (a * b) / ((a + j) * (b + j)));
    }
    case 'faces': {
      const faces = shape.faces.reduce((sum, { widthMm, heightMm, count }) => sum + widthMm * heightMm * count, 0);
      return Math.max(0, faces - shape.openM2 / M2_PER_MM2);
    }
    default:
      return shape satisfies never;
  }
}

/**
 * The area of one side of a shape in m². Elementary geometry; a carcass is top, two sides and front; a frame's face
 * leaves its opening out; a rectangle with `edgeMm` counts its four edges, a panel door half of them with each face;
 * a torus is measured over its outer diameter; a leaf is an ellipse; of several faces what lies open is left out.
 */
export function shapeAreaM2(shape: ZoneShape): number {
  return shape.kind === 'custom' ? shape.areaM2 : areaMm2(shape) * M2_PER_MM2;
}

/** The texture factor that a shape brings by itself, or null to take the material's. A factor of 2 means both faces. */
export function shapeTexture(shape: ZoneShape): number | null {
  return SHAPE_TEXTURE[shape.kind] ?? null;
}

/** The length of raw edge around a flat shape, meters; 0 for what has none. */
export function shapeEdgeM(shape: ZoneShape): number {
  switch (shape.kind) {
    case 'rectangle':
    case 'panelDoor':
      return (2 * (shape.widthMm + shape.heightMm)) / 1000;
    case 'disc':
      return (Math.PI * shape.diameterMm) / 1000;
    default:
      return 0;
  }
}
