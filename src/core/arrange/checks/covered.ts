import { spotBoards } from '../../catalog/spotBoards';
import { spotFeatures } from '../../catalog/spotFeatures.data';
import { calculated } from '../../kernel/source';
import { placeInSketch, type SketchCheck, type SketchFacts } from '../sketchCheck';

/** Something that a box of the sketch may cover; mm from the lower left. */
interface InTheWay {
  isSocket: boolean;
  name: string;
  leftMm: number;
  rightMm: number;
  footMm: number;
  topMm: number;
}

/** Boxes are kept in whole millimeters: what touches a board does not meet it. */
const TOUCH_MM = 1;

function inTheWay({ spot }: SketchFacts): InTheWay[] {
  const marked = spot.features
    .filter(({ kind }) => kind !== 'door' && kind !== 'window' && kind !== 'board')
    .map(({ kind, name, xMm, yMm, widthMm, heightMm }) => ({
      isSocket: kind === 'socket',
      name: name || spotFeatures[kind].called,
      leftMm: xMm,
      rightMm: xMm + widthMm,
      footMm: yMm,
      topMm: yMm + heightMm,
    }));
  const boards = spotBoards(spot).map(({ topMm, thickMm, leftMm, rightMm }) => ({
    isSocket: false,
    name: spotFeatures.board.called,
    leftMm,
    rightMm,
    footMm: topMm - thickMm,
    topMm,
  }));
  return [...marked, ...boards];
}

/** A socket, switch, board or obstacle that a slot would cover. */
export const covered: SketchCheck = {
  id: 'covered',
  source: calculated,
  check: (facts) =>
    inTheWay(facts).flatMap(({ isSocket, name, leftMm, rightMm, footMm, topMm }) =>
      facts.slots.flatMap(({ slot, box, placed }) =>
        placed &&
        !slot.leftOut &&
        box.xMm < rightMm - TOUCH_MM &&
        box.xMm + box.widthMm > leftMm + TOUCH_MM &&
        box.yMm < topMm - TOUCH_MM &&
        box.yMm + box.heightMm > footMm + TOUCH_MM
          ? [
              {
                code: isSocket ? 'sketch.coversSocket' : 'sketch.meetsObstacle',
                severity: 'note',
                where: placeInSketch(facts, slot.id),
                figures: { slot: slot.name, feature: name },
              },
            ]
          : [],
      ),
    ),
};
