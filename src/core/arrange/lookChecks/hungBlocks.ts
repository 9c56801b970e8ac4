import type { LookThing, ThingBox } from '../look/lookThing';
import { type Place, placeOf } from '../look/settle';
import type { LookFacts } from './lookCheck';
import { hung, inches } from './where';

/** Frames closer than this are seen as one block. */
const ONE_BLOCK_MM = inches(8);

/** What hangs together, and the box around it. */
export interface HungBlock {
  things: readonly LookThing[];
  box: ThingBox;
}

const around = (things: readonly LookThing[]): ThingBox => {
  const of = (pick: (box: ThingBox) => number, choose: (...all: number[]) => number) =>
    choose(...things.map(({ box }) => pick(box)));
  return {
    leftMm: of(({ leftMm }) => leftMm, Math.min),
    rightMm: of(({ rightMm }) => rightMm, Math.max),
    footMm: of(({ footMm }) => footMm, Math.min),
    topMm: of(({ topMm }) => topMm, Math.max),
    frontMm: of(({ frontMm }) => frontMm, Math.min),
    backMm: of(({ backMm }) => backMm, Math.max),
  };
};

/** Pictures, plates and mirrors that hang, frames that hang close to each other as one block (figures 8). */
export function hungBlocks(facts: Pick<LookFacts, 'things'>): HungBlock[] {
  const all = hung(facts).filter(
    ({ kinds, template, isFound }) =>
      kinds.has('art') || kinds.has('mirror') || kinds.has('plate') || (!isFound && template === null),
  );
  // A print within its frame is one picture with it.
  const pictures = all.filter((one) => !all.some((other) => other.id !== one.id && isWithin(one.box, other.box)));
  const blocks: LookThing[][] = [];
  for (const picture of pictures) {
    const near = blocks.filter((block) => block.some((other) => isNear(picture.box, other.box)));
    const joined = [picture, ...near.flat()];
    for (const block of near) blocks.splice(blocks.indexOf(block), 1);
    blocks.push(joined);
  }
  return blocks.map((things) => ({ things, box: around(things) }));
}

/** Whether one lies wholly within another that is larger. */
const isWithin = (a: ThingBox, b: ThingBox): boolean =>
  a.leftMm >= b.leftMm &&
  a.rightMm <= b.rightMm &&
  a.footMm >= b.footMm &&
  a.topMm <= b.topMm &&
  b.rightMm - b.leftMm > a.rightMm - a.leftMm;

function isNear(a: ThingBox, b: ThingBox): boolean {
  const x = Math.max(a.leftMm - b.rightMm, b.leftMm - a.rightMm);
  const y = Math.max(a.footMm - b.topMm, b.footMm - a.topMm);
  return x <= ONE_BLOCK_MM && y <= ONE_BLOCK_MM;
}

/** The places of things that hang together, so much higher. */
export const raisedBy = (things: readonly LookThing[], mm: number): Place[] =>
  things.map((thing) => ({ ...placeOf(thing), footMm: thing.placement.footMm + mm }));
