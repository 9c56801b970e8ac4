import type { ShapeKind, ZoneShape } from './shapes';

/** One thing to enter for a shape. */
export interface ShapeField {
  id: string;
  label: string;
  kind: 'length' | 'count' | 'area';
  standard: number;
}

/** A shape a stylist can choose for a zone: its name and what to measure. */
export interface ShapeForm {
  kind: ShapeKind;
  name: string;
  fields: readonly ShapeField[];
  build(values: Readonly<Record<string, number>>): ZoneShape;
}

const length = (id: string, label: string, standard: number): ShapeField => ({ id, label, kind: 'length', standard });
const count = (id: string, label: string, standard: number): ShapeField => ({ id, label, kind: 'count', standard });

/** What was entered for a field, or its standard. */
function reader(fields: readonly ShapeField[], values: Readonly<Record<string, number>>) {
  return (id: string): number => values[id] ?? fields.find((field) => field.id === id)?.standard ?? 0;
}

function form(
  kind: ShapeKind,
  name: string,
  fields: readonly ShapeField[],
  build: (of: (id: string) => number) => ZoneShape,
): ShapeForm {
  return { kind, name, fields, build: (values) => build(reader(fields, values)) };
}

const width = length('widthMm', 'Width', 400);
const depth = length('depthMm', 'Depth', 300);
const height = length('heightMm', 'Height', 300);
const diameter = length('diameterMm', 'Diameter', 200);

/** The shape library, as the form for a zone offers it. */
export const shapeForms: readonly ShapeForm[] = [
  form('rectangle', 'Flat face', [width, height, length('edgeMm', 'Edge, thickness', 0)], (of) => ({
    kind: 'rectangle',
    widthMm: of('widthMm'),
    heightMm: of('heightMm'),
    edgeMm: of('edgeMm'),
  })),
  form('panelDoor', 'Panel door, raised', [width, height, length('edgeMm', 'Edge, thickness', 19)], (of) => ({
    kind: 'panelDoor',
    widthMm: of('widthMm'),
    heightMm: of('heightMm'),
    edgeMm: of('edgeMm'),
    profile: 'raised',
  })),
  form('boxClosed', 'Box, closed', [width, depth, height], (of) => ({
    kind: 'boxClosed',
    widthMm: of('widthMm'),
    depthMm: of('depthMm'),
    heightMm: of('heightMm'),
  })),
  form('boxOpenTop', 'Box, open on top', [width, depth, height], (of) => ({
    kind: 'boxOpenTop',
    widthMm: of('widthMm'),
    depthMm: of('depthMm'),
    heightMm: of('heightMm'),
  })),
  form('carcass', 'Carcass: top, two sides, front', [width, depth, height], (of) => ({
    kind: 'carcass',
    widthMm: of('widthMm'),
    depthMm: of('depthMm'),
    heightMm: of('heightMm'),
  })),
  form('disc', 'Round top', [diameter, length('edgeMm', 'Edge, thickness', 19)], (of) => ({
    kind: 'disc',
    diameterMm: of('diameterMm'),
    edgeMm: of('edgeMm'),
  })),
  form('cylinder', 'Cylinder', [diameter, height, count('ends', 'Ends counted', 0)], (of) => ({
    kind: 'cylinder',
    diameterMm: of('diameterMm'),
    heightMm: of('heightMm'),
    ends: of('ends') >= 2 ? 2 : of('ends') >= 1 ? 1 : 0,
  })),
  form('cone', 'Cone', [diameter, height], (of) => ({
    kind: 'cone',
    radiusMm: of('diameterMm') / 2,
    heightMm: of('heightMm'),
  })),
  form(
    'frustum',
    'Cone, cut off',
    [length('topMm', 'Diameter above', 150), length('bottomMm', 'Diameter below', 300), height],
    (of) => ({
      kind: 'frustum',
      largeRadiusMm: Math.max(of('topMm'), of('bottomMm')) / 2,
      smallRadiusMm: Math.min(of('topMm'), of('bottomMm')) / 2,
      heightMm: of('heightMm'),
    }),
  ),
  form('sphere', 'Ball', [diameter], (of) => ({ kind: 'sphere', diameterMm: of('diameterMm') })),
  form('egg', 'Egg', [length('lengthMm', 'Length', 70), length('diameterMm', 'Diameter', 50)], (of) => ({
    kind: 'egg',
    lengthMm: of('lengthMm'),
    diameterMm: of('diameterMm'),
  })),
  form(
    'prism',
    'Prism, many-sided',
    [count('sides', 'Sides', 6), length('sideMm', 'Side', 100), height, count('ends', 'Ends counted', 0)],
    (of) => ({
      kind: 'prism',
      sides: Math.max(3, Math.round(of('sides'))),
      sideMm: of('sideMm'),
      heightMm: of('heightMm'),
      ends: of('ends') >= 2 ? 2 : of('ends') >= 1 ? 1 : 0,
    }),
  ),
  form(
    'torus',
    'Ring or wreath',
    [length('ringMm', 'Outer diameter', 350), length('tubeMm', 'Thickness', 60)],
    (of) => ({
      kind: 'torus',
      ringDiameterMm: of('ringMm'),
      tubeDiameterMm: of('tubeMm'),
    }),
  ),
  form(
    'frameMoulding',
    'Frame moulding',
    [
      length('openWidthMm', 'Opening, width', 203.2),
      length('openHeightMm', 'Opening, height', 254),
      length('mouldingMm', 'Moulding', 38.1),
    ],
    (of) => ({
      kind: 'frameMoulding',
      openWidthMm: of('openWidthMm'),
      openHeightMm: of('openHeightMm'),
      mouldingMm: of('mouldingMm'),
    }),
  ),
  form(
    'squareLeg',
    'Square leg, straight or tapered',
    [length('topMm', 'Thick above', 60), length('footMm', 'Thick below', 40), height],
    (of) => ({ kind: 'squareLeg', topMm: of('topMm'), footMm: of('footMm'), heightMm: of('heightMm') }),
  ),
  form('turned', 'Turned leg or spindle', [length('meanMm', 'Mean diameter', 45), height], (of) => ({
    kind: 'turned',
    meanDiameterMm: of('meanMm'),
    heightMm: of('heightMm'),
  })),
  form('spindleBack', 'Spindle back', [width, height], (of) => ({
    kind: 'spindleBack',
    widthMm: of('widthMm'),
    heightMm: of('heightMm'),
  })),
  form(
    'leaves',
    'Leaves',
    [count('leaves', 'Leaves', 40), length('lengthMm', 'Length', 90), length('widthMm', 'Width', 40)],
    (of) => ({ kind: 'leaves', leaves: of('leaves'), lengthMm: of('lengthMm'), widthMm: of('widthMm') }),
  ),
  form(
    'tileJoints',
    'Tile joints',
    [
      width,
      height,
      length('tileWidthMm', 'Tile, width', 100),
      length('tileHeightMm', 'Tile, height', 100),
      length('jointMm', 'Joint', 3),
    ],
    (of) => ({
      kind: 'tileJoints',
      widthMm: of('widthMm'),
      heightMm: of('heightMm'),
      tileWidthMm: of('tileWidthMm'),
      tileHeightMm: of('tileHeightMm'),
      jointMm: of('jointMm'),
    }),
  ),
  form('custom', 'Area, measured yourself', [{ id: 'areaM2', label: 'Area', kind: 'area', standard: 0.5 }], (of) => ({
    kind: 'custom',
    areaM2: of('areaM2'),
  })),
];
