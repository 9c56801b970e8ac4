import { sketchRoom } from '../../catalog/spotKind';
import { spotKindOf } from '../../catalog/spotKinds';
import type { LookPieceRow, LookRow, SlotBox, SlotRow, SpotRow, Stance } from '../../model/rows';
import type { Plan } from '../../plan/computePlan';
import { hangingHeightMm } from '../hanging/hangingHeight';
import { inches } from '../lookChecks/where';
import { repeatsOf } from '../repeats';
import { type PlacedSlot, sketchBoxes } from '../sketchBoxes';
import { baseHeightMm, isSeenFromAbove, lookRoom } from './lookRoom';
import type { LookThing } from './lookThing';
import { boxAt } from './lookThing';
import { lookThing } from './lookThings';
import { newPlacement } from './newLook';
import { besidePlate, seatPlaces } from './seatPlaces';
import { fallen } from './settle';
import { thingKindsOf } from './thingKinds';
import { likenessOfThing } from './thingView';

/** A box that is so far above the base hangs, or stands on something, mm. */
const LIFTED_MM = 25;
/** What is set on something may be drawn a little above or below its top, mm. */
const REACH_MM = 60;
/** Further than this nothing is drawn by mistake above what it shall stand on, mm. */
const FALL_MM = 200;

/** How a thing is held up while nobody said: what hangs by its kind hangs where it is drawn above the base, else leans. */
export function stanceOf(thing: LookThing, lifted: boolean): Stance {
  const hangs =
    thing.template?.traits.includes('hangs') === true || thing.kinds.has('art') || thing.kinds.has('mirror');
  if (hangs) return lifted ? 'hangs' : thing.kinds.has('rug') || thing.kinds.has('garland') ? 'lies' : 'leans';
  if (likenessOfThing(thing)?.leans) return 'leans';
  // Nothing is known of it yet: what is the anchor and drawn up on the wall will hang.
  if (thing.template === null && lifted && thing.role === 'anchor') return 'hangs';
  return thing.template?.id === 'flatCloth' || thing.kinds.has('rug') ? 'lies' : 'stands';
}

/** What a new placement is made from; where nobody placed its slot in the sketch its box says little. */
interface Wanted {
  of: Partial<LookPieceRow>;
  box: SlotBox;
  isPlaced: boolean;
}

/** A shelf hangs about so high where nobody said; above furniture things keep a gap (figures 8). */
const SHELF_MM = inches(48);
const GAP_MM = inches(8);

/** How high the foot of something hangs while nobody said: over a surface by a gap, else its middle at the eyes. */
export function usualFoot(spot: SpotRow, { size, template }: LookThing): number {
  const base = baseHeightMm(spot);
  if (base > 0) return GAP_MM;
  return template?.id === 'shelf' ? SHELF_MM : hangingHeightMm - size.heightMm / 2;
}

/**
 * A look as the sketch has it: each slot's pieces where they are drawn, in their true size where it is known, what
 * stands fallen onto what is below it. Slots that are left out are left out.
 * @param newId gives a new id at each call
 */
export function startingLook(plan: Plan, look: LookRow, spot: SpotRow, newId: () => string): LookPieceRow[] {
  const kind = spotKindOf(spot.kind);
  const sketch = sketchRoom(kind, spot);
  const slots = plan.rows.slots.filter((slot) => slot.spotId === spot.id && !slot.leftOut);
  const boxes = sketchBoxes(spot, slots);
  const plate = boxes.find(({ slot }) => slot.perSeat !== null && isPlate(slot))?.box ?? null;
  const wanted = boxes.flatMap((entry): Wanted[] => {
    const { slot, box, placed } = entry;
    const seats = seatBoxes(spot, entry, plate);
    return (seats ?? [box, ...repeatsOf(box, slot, sketch)]).map((own, nth) => ({
      of: { slotId: slot.id, nth },
      box: own,
      isPlaced: placed,
    }));
  });
  return placedIn(plan, look, spot, wanted, newId);
}

/**
 * What each guest has before them, at each seat: plates where they are laid, all else beside its plate as it is drawn at the
 * front; null where nobody is seated.
 */
function seatBoxes(spot: SpotRow, { slot, box }: PlacedSlot, plate: SlotBox | null): SlotBox[] | null {
  if (!isSeenFromAbove(spot) || !slot.perSeat) return null;
  const size = (of: SlotBox) => ({ widthMm: of.widthMm, depthMm: of.heightMm, heightMm: 0 });
  const pieces = slot.quantity - slot.perSeat.spares;
  const at = ({ xMm, frontMm }: Pick<LookPieceRow, 'xMm' | 'frontMm'>): SlotBox => ({ ...box, xMm, yMm: frontMm });
  if (isPlate(slot)) return seatPlaces(spot, size(box)).slice(0, pieces).map(at);
  if (!plate) return null;
  const beside = {
    rightMm: box.xMm + box.widthMm / 2 - plate.xMm - plate.widthMm / 2,
    awayMm: box.yMm + box.heightMm / 2 - plate.yMm - plate.heightMm / 2,
  };
  return seatPlaces(spot, size(plate))
    .slice(0, pieces)
    .map((seat) => at(besidePlate({ ...seat, ...size(plate) }, beside, size(box))));
}

const isPlate = ({ name }: Pick<SlotRow, 'name'>): boolean => thingKindsOf(name, null).has('setting');

/** Things placed one after the other, lowest first, each where its box wants it. */
function placedIn(
  plan: Plan,
  look: LookRow,
  spot: SpotRow,
  wanted: readonly Wanted[],
  newId: () => string,
): LookPieceRow[] {
  const room = lookRoom(spot);
  const isAbove = isSeenFromAbove(spot);
  const done: LookThing[] = [];
  for (const { of, box, isPlaced } of [...wanted].sort((a, b) => a.box.yMm - b.box.yMm)) {
    const first = lookThing(plan, spot, newPlacement(newId(), look.id, of));
    const mayHang = first.template?.traits.includes('hangs') === true || first.kinds.has('mirror');
    // On shelves a frame leans; there is no wall to hang it on.
    const { hasWall } = room;
    const isUsual = hasWall && !isPlaced && mayHang;
    const lifted = !isAbove && (box.yMm > LIFTED_MM || isUsual);
    const stance = stanceOf(first, lifted && hasWall);
    // A runner lies along its table.
    const turned = isAbove && first.size.depthMm > first.size.widthMm && first.size.depthMm > room.depthMm;
    const thing = lookThing(plan, spot, { ...first.placement, stance, turned });
    const { widthMm, heightMm, depthMm } = thing.size;
    const middle = box.xMm + box.widthMm / 2;
    const xMm = round(clamp(middle - widthMm / 2, room.widthMm - widthMm));
    const centerUp = box.yMm + box.heightMm / 2;
    const footWanted =
      stance === 'hangs'
        ? clamp(isUsual ? usualFoot(spot, thing) : centerUp - heightMm / 2, room.heightMm - heightMm)
        : lifted
          ? box.yMm
          : 0;
    const frontMm = isAbove
      ? round(clamp(centerUp - depthMm / 2, room.depthMm - depthMm))
      : frontFor(spot, stance, depthMm);
    const at = boxAt({ xMm, footMm: footWanted, frontMm }, thing.size);
    const rest = fallen(thing, at, isAbove ? [] : done, room, REACH_MM);
    // What is drawn up on the wall with nothing beneath it was not meant to fall; on shelves it stands on the next one.
    const isHung = stance === 'hangs' || (lifted && hasWall && footWanted - rest.footMm > FALL_MM);
    const place = isHung
      ? {
          stance: 'hangs' as const,
          footMm: round(footWanted),
          onId: null,
          frontMm: isAbove ? frontMm : frontFor(spot, 'hangs', depthMm),
        }
      : { ...rest, frontMm };
    const placement = { ...thing.placement, xMm, ...place, layer: layerOf(isHung ? 'hangs' : stance, done.length) };
    done.push(lookThing(plan, spot, placement));
  }
  return done.map(({ placement }) => placement);
}

/** What hangs is behind, what leans before it, what stands in front of both. */
const LAYERS: Readonly<Record<Stance, number>> = { hangs: 0, leans: 1000, lies: 2000, stands: 3000 };
export const layerOf = (stance: Stance, n: number): number => LAYERS[stance] + n;

/** What hangs or leans is at the wall, and so is furniture on the floor before it; on a surface a thing stands in its middle. */
export function frontFor(spot: SpotRow, stance: Stance, depthMm: number): number {
  const { depthMm: roomMm } = lookRoom(spot);
  const isAtWall = stance === 'hangs' || stance === 'leans' || spotKindOf(spot.kind).asks.depth === null;
  return round(Math.max(0, isAtWall ? roomMm - depthMm : (roomMm - depthMm) / 2));
}

export const clamp = (value: number, most: number) => (most <= 0 ? most / 2 : Math.min(Math.max(0, value), most));
export const round = (mm: number) => Math.round(mm * 10) / 10;
