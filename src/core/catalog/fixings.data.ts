import { commonPractice, type Source } from '../kernel/source';
import type { WallKind } from './walls.data';

/** How something is fixed to a wall. */
export interface Fixing {
  id: string;
  name: string;
  /** What it carries by design, in pounds, where its packet says nothing. */
  designLb: number;
  /** The share of what its packet says that counts. */
  ofLabel: number;
  /** Stuck on instead of driven in: nothing of it in heat, on rough faces, on fresh paint, over a bed. */
  isAdhesive: boolean;
  /** Only where a stud is behind it. */
  inStud: boolean;
  /** Walls that it is made for. */
  walls: readonly WallKind[];
  /** The hole that stays, mm across; 0 for none. */
  holeMm: number;
  source: Source;
}

const hollow: readonly WallKind[] = ['drywall', 'plasterLath', 'unknown'];
const anyWood: readonly WallKind[] = ['drywall', 'plasterLath', 'wood', 'unknown'];
const all: readonly WallKind[] = ['drywall', 'plasterLath', 'wood', 'masonry', 'unknown'];

const fixing = (
  id: string,
  name: string,
  designLb: number,
  walls: readonly WallKind[],
  more: Partial<Fixing> = {},
) => ({
  id,
  name,
  designLb,
  ofLabel: 0.5,
  isAdhesive: false,
  inStud: false,
  walls,
  holeMm: 2,
  source: commonPractice,
  ...more,
});

/** Fixings by what they carry, least first: figures.md 6, hanging loads, from memory. */
export const fixingRows: readonly Fixing[] = [
  fixing('adhesive1', 'Adhesive strip, 1 lb', 0.5, all, { isAdhesive: true, holeMm: 0 }),
  fixing('adhesive4', 'Adhesive strips, 4 lb', 2, all, { isAdhesive: true, holeMm: 0 }),
  fixing('smallNail', 'Thumb tack or small nail', 3, hollow, { holeMm: 1.5 }),
  fixing('adhesive16', 'Adhesive strips, 4 pairs, 16 lb', 8, all, { isAdhesive: true, holeMm: 0 }),
  fixing('hook1', 'Picture hook, one nail', 10, anyWood),
  fixing('plug', 'Plastic expansion anchor', 10, hollow, { holeMm: 6 }),
  fixing('hook2', 'Picture hook, two nails', 20, anyWood),
  fixing('studNail', 'Nail 1 1/2 in, in a stud', 25, anyWood, { inStud: true, holeMm: 3 }),
  fixing('threaded', 'Self-drilling threaded anchor', 25, hollow, { holeMm: 8 }),
  fixing('toggle8', 'Toggle, 1/8 in', 30, hollow, { holeMm: 10 }),
  fixing('molly', 'Hollow-wall anchor', 35, hollow, { holeMm: 8 }),
  fixing('hook3', 'Picture hook, three nails', 37.5, anyWood),
  fixing('toggle316', 'Toggle, 3/16 in', 50, hollow, { holeMm: 13 }),
  fixing('masonryPlug', 'Masonry plug and screw', 50, ['masonry'], { holeMm: 6 }),
  fixing('toggle4', 'Toggle, 1/4 in', 75, hollow, { holeMm: 16 }),
  fixing('studScrew', 'Screw #8 to #10, an inch into a stud', 80, anyWood, { inStud: true, holeMm: 4 }),
];
