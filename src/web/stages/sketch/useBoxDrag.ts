import { insideRoom, type PlacedSlot, snapped } from '@core/arrange/sketchBoxes';
import type { SlotBox } from '@core/model/rows';
import { type KeyboardEvent, type PointerEvent, type RefObject, useState } from 'react';
import { arrowWay } from '../../ui/arrowWay';

/** A box that is being moved, or sized by its corner. */
interface Drag {
  id: string;
  how: 'move' | 'size';
  startX: number;
  startY: number;
  from: SlotBox;
  box: SlotBox;
  /** The lines that it has snapped to. */
  atX: number | null;
  atY: number | null;
}

/** What is drawn and may be moved. Lengths in mm. */
interface Sketch {
  room: { widthMm: number; heightMm: number };
  placed: readonly PlacedSlot[];
  /** How far one press of an arrow key goes. */
  stepMm: number;
  /** What the drawing shows across. */
  shownWidthMm: number;
  onSelect: (id: string) => void;
  onPlace: (id: string, box: SlotBox) => void;
}

/** Boxes nearer than so many pixels to a line snap to it. */
const SNAP_PIXELS = 7;

/** To a tenth of a millimeter, and never without any size. */
const rounded = (box: SlotBox): SlotBox => ({
  xMm: Math.round(box.xMm * 10) / 10,
  yMm: Math.round(box.yMm * 10) / 10,
  widthMm: Math.max(1, Math.round(box.widthMm * 10) / 10),
  heightMm: Math.max(1, Math.round(box.heightMm * 10) / 10),
});

/** Moving and sizing boxes by pointer and by keys. */
export function useBoxDrag(svg: RefObject<SVGSVGElement | null>, sketch: Sketch) {
  const { room, placed, stepMm, shownWidthMm, onSelect, onPlace } = sketch;
  const [drag, setDrag] = useState<Drag | null>(null);
  const place = (id: string, box: SlotBox) => onPlace(id, rounded(box));
  const mmPerPixel = () => {
    const bounds = svg.current?.getBoundingClientRect();
    return bounds && bounds.width > 0 ? shownWidthMm / bounds.width : 1;
  };
  const begin = (event: PointerEvent<SVGElement>, entry: PlacedSlot, how: Drag['how']) => {
    event.preventDefault();
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    // The field that was written in is left, so that keys belong to the box from now on.
    svg.current?.querySelector<SVGElement>(`[data-slot="${entry.slot.id}"]`)?.focus({ preventScroll: true });
    onSelect(entry.slot.id);
    const { clientX: startX, clientY: startY } = event;
    setDrag({ id: entry.slot.id, how, startX, startY, from: entry.box, box: entry.box, atX: null, atY: null });
  };
  const move = (event: PointerEvent<SVGElement>) => {
    if (!drag) return;
    const scale = mmPerPixel();
    const dx = (event.clientX - drag.startX) * scale;
    const dy = -(event.clientY - drag.startY) * scale;
    if (drag.how === 'size') {
      const widthMm = Math.max(stepMm, drag.from.widthMm + dx);
      const heightMm = Math.max(stepMm, drag.from.heightMm + dy);
      return setDrag({ ...drag, box: { ...drag.from, widthMm, heightMm } });
    }
    const wanted = insideRoom({ ...drag.from, xMm: drag.from.xMm + dx, yMm: drag.from.yMm + dy }, room);
    const others = placed.filter((entry) => entry.slot.id !== drag.id).map((entry) => entry.box);
    const result = snapped(wanted, others, room, SNAP_PIXELS * scale);
    setDrag({ ...drag, box: insideRoom(result.box, room), atX: result.atX, atY: result.atY });
  };
  const end = () => {
    if (!drag) return;
    if (JSON.stringify(drag.box) !== JSON.stringify(drag.from)) place(drag.id, drag.box);
    setDrag(null);
  };
  /** Arrows move a box, with Alt they size it, with Shift by a quarter of a step. */
  const onKey = (event: KeyboardEvent<SVGElement>, { slot, box }: PlacedSlot) => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      return onSelect(slot.id);
    }
    const way = arrowWay(event.key);
    if (!way) return;
    event.preventDefault();
    const [x, y] = [way[0], -way[1]];
    const by = event.shiftKey ? stepMm / 4 : stepMm;
    const least = stepMm / 4;
    const sized = () => ({
      ...box,
      widthMm: Math.max(least, box.widthMm + x * by),
      heightMm: Math.max(least, box.heightMm + y * by),
    });
    const moved = () => insideRoom({ ...box, xMm: box.xMm + x * by, yMm: box.yMm + y * by }, room);
    place(slot.id, event.altKey ? sized() : moved());
  };
  return { drag, begin, move, end, cancel: () => setDrag(null), onKey };
}
