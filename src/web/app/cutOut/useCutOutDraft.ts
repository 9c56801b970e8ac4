import { type CutOut, MOST_HOLES, MOST_POINTS, type PhotoPoint } from '@core/model/values/photoPoint';
import { transfer } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { photoWorker } from './photoWorker';
import { bitmapOf } from './useCutOut';

export type Rings = CutOut['rings'];
/** What is tapped now: the line around the piece, a hole in it, or nothing. */
export type Tapping = 'edge' | 'hole' | null;

const rounded = (share: number) => Math.round(Math.min(1, Math.max(0, share)) * 10_000) / 10_000;

/** A cut-out while it is made: guessed, tapped, its points moved; each step can be taken back. */
export function useCutOutDraft(photoId: string, first: Rings | null) {
  const [rings, setRings] = useState<Rings>(first ?? []);
  const [before, setBefore] = useState<readonly Rings[]>([]);
  const [taps, setTaps] = useState<readonly PhotoPoint[]>([]);
  const [tapping, setTapping] = useState<Tapping>(null);
  const [isGuessing, setGuessing] = useState(first === null);
  const [problem, setProblem] = useState('');
  const asked = useRef(0);

  /** One step: what is held while it goes on is not kept, only where it began. */
  const change = (to: Rings) => {
    setBefore((steps) => [...steps.slice(-60), rings]);
    setRings(to);
  };

  const guess = async (along: readonly PhotoPoint[] = []) => {
    asked.current += 1;
    const mine = asked.current;
    setGuessing(true);
    setProblem('');
    try {
      const bitmap = await bitmapOf(photoId);
      const found = await photoWorker().guess(
        transfer(bitmap, [bitmap]),
        along.map(({ x, y }) => [x, y] as const),
      );
      if (mine !== asked.current) return;
      if (!found) {
        setProblem('Nothing stands out from what is behind it: tap around it, all the way.');
        if (rings.length === 0) setTapping('edge');
        return;
      }
      change(
        found
          .slice(0, MOST_HOLES + 1)
          .map((ring) => ring.slice(0, MOST_POINTS).map(([x, y]) => ({ x: rounded(x), y: rounded(y) }))),
      );
      setTapping(null);
      setTaps([]);
    } catch {
      if (mine === asked.current)
        setProblem('The picture is not here yet: it is on its way, or the server cannot be reached. Try again.');
    } finally {
      if (mine === asked.current) setGuessing(false);
    }
  };

  // A first guess is offered at once where nothing was cut yet.
  const begin = useRef(() => void guess());
  useEffect(() => {
    if (first === null) begin.current();
  }, [first]);

  return {
    rings,
    taps,
    tapping,
    isGuessing,
    problem,
    canStepBack: before.length > 0 || taps.length > 0,
    guess,
    /** Begins to tap a line; what was guessed of the edge stays until the new line is done. */
    tap: (what: Tapping) => {
      asked.current += 1;
      setGuessing(false);
      setTaps([]);
      setTapping(what);
    },
    addTap: (point: PhotoPoint) =>
      setTaps((own) => (own.length < MOST_POINTS ? [...own, { x: rounded(point.x), y: rounded(point.y) }] : own)),
    /** The tapped line becomes the edge, or a hole in it. */
    finish: () => {
      if (taps.length < 3) return;
      change(tapping === 'hole' ? [...rings, [...taps]] : [[...taps]]);
      setTaps([]);
      setTapping(null);
    },
    move: (ring: number, point: number, to: PhotoPoint) =>
      change(
        rings.map((own, n) =>
          n === ring ? own.map((old, k) => (k === point ? { x: rounded(to.x), y: rounded(to.y) } : old)) : own,
        ),
      ),
    /** One point more after another one. */
    insert: (ring: number, after: number, at: PhotoPoint) => {
      const own = rings[ring];
      if (!own || own.length >= MOST_POINTS) return false;
      change(
        rings.map((points, n) =>
          n === ring
            ? [...points.slice(0, after + 1), { x: rounded(at.x), y: rounded(at.y) }, ...points.slice(after + 1)]
            : points,
        ),
      );
      return true;
    },
    remove: (ring: number, point: number) =>
      change(
        rings.flatMap((own, n) => {
          if (n !== ring) return [own];
          if (own.length > 3) return [own.filter((_, k) => k !== point)];
          // The last corners of a hole close it; an edge keeps three.
          return n === 0 ? [own] : [];
        }),
      ),
    withoutHoles: () => change(rings.slice(0, 1)),
    stepBack: () => {
      if (taps.length > 0) return setTaps(taps.slice(0, -1));
      const last = before.at(-1);
      if (!last) return;
      setRings(last);
      setBefore(before.slice(0, -1));
    },
    mayHaveHole: rings.length > 0 && rings.length <= MOST_HOLES,
  };
}

export type CutOutDraft = ReturnType<typeof useCutOutDraft>;
