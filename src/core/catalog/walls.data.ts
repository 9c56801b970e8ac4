/** What walls are made of, as far as what is fixed in them asks (common practice, no source). */
export const wallKinds = {
  unknown: { name: 'Nobody knows yet', hasStuds: true },
  drywall: { name: 'Drywall on studs', hasStuds: true },
  plasterLath: { name: 'Plaster on lath', hasStuds: true },
  masonry: { name: 'Brick, block or concrete', hasStuds: false },
  wood: { name: 'Wood or paneling', hasStuds: true },
} as const;
export type WallKind = keyof typeof wallKinds;
export const wallIds = Object.keys(wallKinds) as [WallKind, ...WallKind[]];

/** What the face of a wall is, as far as adhesive asks. */
export const wallFaces = {
  smooth: { name: 'Smooth paint or tile', holdsAdhesive: true },
  textured: { name: 'Textured', holdsAdhesive: false },
  wallpaper: { name: 'Wallpaper', holdsAdhesive: false },
  bare: { name: 'Bare brick, wood or plaster', holdsAdhesive: false },
} as const;
export type WallFace = keyof typeof wallFaces;
export const faceIds = Object.keys(wallFaces) as [WallFace, ...WallFace[]];
