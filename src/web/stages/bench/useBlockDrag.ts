import type { Stretch } from '@core/schedule/benchProblem';
import type { BenchBlock } from '@core/schedule/eveningsOf';
import { type PointerEvent, useCallback, useRef, useState } from 'react';
import { useLatest } from '../../app/useLatest';
import type { LineScale } from './lineScale';

/** Less than this is a press with an unsteady finger, px. */
const LEAST_MOVE_PX = 6;

/** What a block that can be dragged listens to. */
export type DragHandlers = ReturnType<ReturnType<typeof useBlockDrag>['handlers']>;

/**
 * Dragging a block sideways; let go over other hours of work it is put there. How far it is dragged stands in a property
 * of the line's own element, so that a move of the finger draws nothing anew but what is dragged.
 */
export function useBlockDrag(scale: LineScale, onMove: (block: BenchBlock, to: Stretch) => void) {
  const line = useRef<HTMLDivElement>(null);
  const dragged = useRef<{ fromX: number; byX: number } | null>(null);
  const isMoved = useRef(false);
  const latest = useLatest({ scale, onMove });
  const [id, setId] = useState<string | null>(null);
  const [over, setOver] = useState<Stretch | null>(null);
  const handlers = useCallback((block: BenchBlock) => {
    const place = (byX: number) => {
      const { scale: present } = latest.current;
      return windowAt(present, present.xOf(block.start) + 2 + byX);
    };
    const end = () => {
      dragged.current = null;
      setId(null);
      setOver(null);
      line.current?.style.removeProperty('--dragged-by');
    };
    return {
      onPointerDown: (event: PointerEvent<HTMLButtonElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        isMoved.current = false;
        dragged.current = { fromX: event.clientX, byX: 0 };
        setId(block.id);
      },
      onPointerMove: (event: PointerEvent<HTMLButtonElement>) => {
        if (!dragged.current) return;
        const byX = event.clientX - dragged.current.fromX;
        dragged.current.byX = byX;
        if (Math.abs(byX) > LEAST_MOVE_PX) isMoved.current = true;
        line.current?.style.setProperty('--dragged-by', `${byX}px`);
        const target = isMoved.current ? place(byX) : null;
        setOver((before) => (before?.start === target?.start ? before : target));
      },
      onPointerUp: () => {
        const target = dragged.current && isMoved.current ? place(dragged.current.byX) : null;
        end();
        if (target && !(block.start >= target.start && block.start < target.end)) latest.current.onMove(block, target);
      },
      onPointerCancel: end,
      onClickCapture: (event: { stopPropagation(): void; preventDefault(): void }) => {
        if (isMoved.current) event.stopPropagation();
      },
    };
  }, []);
  return { line, id, over, handlers };
}

/** The hours of work of a day that are nearest to a place on the line; null beyond its days. */
function windowAt(scale: LineScale, x: number): (Stretch & { x: number }) | null {
  const day = scale.days[Math.floor(x / scale.dayWidth)];
  if (!day) return null;
  return [...day.windows].sort((a, b) => distance(a, x) - distance(b, x))[0] ?? null;
}

const distance = (window: { x: number; width: number }, x: number): number =>
  x < window.x ? window.x - x : Math.max(0, x - window.x - window.width);
