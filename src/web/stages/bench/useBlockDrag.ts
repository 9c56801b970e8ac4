import type { Stretch } from '@core/schedule/benchProblem';
import type { BenchBlock } from '@core/schedule/eveningsOf';
import { type PointerEvent, useRef, useState } from 'react';
import type { LineScale } from './lineScale';

interface DragState {
  id: string;
  fromX: number;
  byX: number;
}

/** Dragging a block sideways; let go over other hours of work it is put there. */
export function useBlockDrag(scale: LineScale, onMove: (block: BenchBlock, to: Stretch) => void) {
  const [state, setState] = useState<DragState | null>(null);
  const moved = useRef(false);
  const windowAt = (x: number) => {
    const day = scale.days[Math.floor(x / scale.dayWidth)];
    if (!day) return null;
    // The hours of work of the day that are nearest.
    return [...day.windows].sort((a, b) => distance(a, x) - distance(b, x))[0] ?? null;
  };
  const place = (block: BenchBlock, byX: number) => windowAt(scale.xOf(block.start) + 2 + byX);
  const [over, setOver] = useState<Stretch | null>(null);
  return {
    id: state?.id ?? null,
    byX: state?.byX ?? 0,
    over,
    handlers: (block: BenchBlock) => ({
      onPointerDown: (event: PointerEvent<HTMLButtonElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        moved.current = false;
        setState({ id: block.id, fromX: event.clientX, byX: 0 });
      },
      onPointerMove: (event: PointerEvent<HTMLButtonElement>) => {
        if (!state) return;
        const byX = event.clientX - state.fromX;
        if (Math.abs(byX) > 6) moved.current = true;
        setState({ ...state, byX });
        setOver(moved.current ? place(block, byX) : null);
      },
      onPointerUp: () => {
        const target = state && moved.current ? place(block, state.byX) : null;
        setState(null);
        setOver(null);
        if (target && !(block.start >= target.start && block.start < target.end)) onMove(block, target);
      },
      onPointerCancel: () => {
        setState(null);
        setOver(null);
      },
      onClickCapture: (event: { stopPropagation(): void; preventDefault(): void }) => {
        if (moved.current) event.stopPropagation();
      },
    }),
  };
}

const distance = (window: { x: number; width: number }, x: number): number =>
  x < window.x ? window.x - x : Math.max(0, x - window.x - window.width);
