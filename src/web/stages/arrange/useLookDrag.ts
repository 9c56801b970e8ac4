import type { LookRoom } from '@core/arrange/look/lookRoom';
import type { LookThing } from '@core/arrange/look/lookThing';
import {
  carriedAlong,
  type Place,
  placeOf,
  restBeyond,
  restingOn,
  restsOn,
  settledAbove,
  settledInFront,
} from '@core/arrange/look/settle';
import { type KeyboardEvent, type PointerEvent, type RefObject, useState } from 'react';
import { arrowWay } from '../../ui/arrowWay';

/** A thing in the hand: where all that moves is now, and the lines that it snapped to. */
export interface LookDrag {
  id: string;
  startX: number;
  startY: number;
  places: readonly Place[];
  atX: number | null;
  atY: number | null;
}

const SNAP_PIXELS = 7;
const LEAST_MOVE_PX = 3;
/** Dragging things of a look by pointer and by arrow keys; what stands on a thing goes with it. */
export function useLookDrag(
  svg: RefObject<SVGSVGElement | null>,
  of: {
    things: readonly LookThing[];
    room: LookRoom;
    isAbove: boolean;
    /** Millimeters that one arrow key moves. */
    stepMm: number;
    shownWidthMm: number;
    /** Heights at which what hangs may be centered, above the base. */
    heights: readonly number[];
    onSelect: (id: string) => void;
    onPlaces: (places: readonly Place[]) => void;
    onRemove: (id: string) => void;
  },
) {
  const [drag, setDrag] = useState<LookDrag | null>(null);
  const { things, room, isAbove, stepMm } = of;
  const mmPerPixel = () => of.shownWidthMm / Math.max(1, svg.current?.getBoundingClientRect().width ?? 1);
  const settled = (thing: LookThing, wanted: { xMm: number; upMm: number }, reachMm: number) => {
    const along = new Set(carriedAlong(things, thing, placeOf(thing)).map(({ id }) => id));
    const others = things.filter(({ id }) => !along.has(id));
    const found = isAbove
      ? settledAbove(thing, { xMm: wanted.xMm, frontMm: wanted.upMm }, others, room, reachMm)
      : settledInFront(thing, { xMm: wanted.xMm, footMm: wanted.upMm }, others, room, reachMm, of.heights);
    return { ...found, places: carriedAlong(things, thing, found.place) };
  };
  const begin = (event: PointerEvent<SVGElement>, thing: LookThing) => {
    if (event.button !== 0) return;
    of.onSelect(thing.id);
    svg.current?.setPointerCapture(event.pointerId);
    setDrag({ id: thing.id, startX: event.clientX, startY: event.clientY, places: [], atX: null, atY: null });
  };
  const move = (event: PointerEvent<SVGElement>) => {
    const thing = drag && things.find(({ id }) => id === drag.id);
    if (!drag || !thing) return;
    const dx = event.clientX - drag.startX;
    const dy = event.clientY - drag.startY;
    if (drag.places.length === 0 && Math.hypot(dx, dy) < LEAST_MOVE_PX) return;
    const scale = mmPerPixel();
    const upMm = isAbove ? thing.placement.frontMm : thing.placement.footMm;
    const wanted = { xMm: thing.placement.xMm + dx * scale, upMm: upMm - dy * scale };
    const { places, atX, atY } = settled(thing, wanted, SNAP_PIXELS * scale);
    setDrag({ ...drag, places, atX, atY });
  };
  const end = () => {
    if (drag && drag.places.length > 0) of.onPlaces(drag.places);
    setDrag(null);
  };
  /** Arrows move a thing by a step, with Shift by a quarter of one; Delete takes it out. */
  const onKey = (event: KeyboardEvent<SVGElement>, thing: LookThing) => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      return of.onSelect(thing.id);
    }
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      return of.onRemove(thing.id);
    }
    const way = arrowWay(event.key);
    if (!way) return;
    event.preventDefault();
    // What stands goes up and down from board to board, and onto what is beside it.
    if (!isAbove && restsOn(thing) && way[1] !== 0) {
      const along = new Set([thing.id, ...restingOn(things, thing.id).map(({ id }) => id)]);
      const others = things.filter(({ id }) => !along.has(id));
      const rest = restBeyond(thing, others, room, way[1] < 0 ? 'up' : 'down');
      if (rest) of.onPlaces(carriedAlong(things, thing, { ...placeOf(thing), ...rest }));
      return;
    }
    const by = event.shiftKey ? stepMm / 4 : stepMm;
    const upMm = isAbove ? thing.placement.frontMm : thing.placement.footMm;
    const wanted = { xMm: thing.placement.xMm + way[0] * by, upMm: upMm - way[1] * by };
    of.onPlaces(settled(thing, wanted, 0).places);
  };
  return { drag, begin, move, end, cancel: () => setDrag(null), onKey };
}
