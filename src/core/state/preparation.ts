/** Works on a surface before its first layer, in the order they are done. */
export const preparationKinds = [
  'brushOut',
  'strip',
  'clean',
  'wetClean',
  'dewax',
  'removeRust',
  'sandBack',
  'fill',
  'scuff',
  'etch',
  'alcoholWipe',
  'sealEdges',
  'dust',
] as const;
export type PreparationKind = (typeof preparationKinds)[number];

/** Whether a kind of step is a preparation of the surface. */
export function isPreparation(kind: string): kind is PreparationKind {
  return (preparationKinds as readonly string[]).includes(kind);
}

/** What is wrong with a surface besides its finish; each asks for its own work. */
export const conditions = ['greasy', 'dented', 'flaking', 'stained', 'polished', 'musty'] as const;
export type Condition = (typeof conditions)[number];
