import type { Pattern } from './simplex';

export interface FewestSticks {
  sticks: Pattern[] | null;
  /** Whether every way was tried. */
  isComplete: boolean;
}

/** Steps after which the search gives up; small questions end long before. */
const MOST_STEPS = 150_000;

/**
 * Tries every way to cut parts from sticks: the longest part that is left lies on some stick, filled as far as it goes;
 * what was reached before at no more cost is not looked at again.
 * @param atMost a cost that is known already; only ways of at most that are looked for
 * @param bound the cost at which nothing better can be found but a larger rest
 */
export function fewestSticks(of: {
  takes: readonly number[];
  demand: readonly number[];
  rooms: readonly number[];
  costs: readonly number[];
  limits: readonly number[];
  atMost: number | null;
  bound: number;
}): FewestSticks {
  const { takes, rooms, costs } = of;
  const order = takes.map((_, part) => part).sort((a, b) => (takes[b] ?? 0) - (takes[a] ?? 0));
  const kinds = rooms
    .map((_, stick) => stick)
    .sort((a, b) => (costs[a] ?? 0) - (costs[b] ?? 0) || (rooms[a] ?? 0) - (rooms[b] ?? 0));
  const cheapest = Math.min(
    ...kinds.map((stick) =>
      (of.limits[stick] ?? 0) > 0 ? (costs[stick] ?? 0) / Math.max(1e-9, rooms[stick] ?? 0) : 0,
    ),
  );
  const wanted = [...of.demand];
  const left = [...of.limits];
  const chosen: Pattern[] = [];
  const seen = new Map<string, { cost: number; rest: number }>();
  let best: { cost: number; rest: number; sticks: Pattern[] } | null = null;
  let steps = 0;

  /** The least that the parts still wanted cost: free sticks take what they hold, the rest goes at the lowest rate. */
  const leastFor = (): number => {
    const length = wanted.reduce((sum, count, part) => sum + count * (takes[part] ?? 0), 0);
    const free = kinds.reduce(
      (sum, stick) =>
        costs[stick] === 0 && Number.isFinite(left[stick]) ? sum + (left[stick] ?? 0) * (rooms[stick] ?? 0) : sum,
      0,
    );
    const rate = cheapest > 0 ? cheapest : lowestPaidRate;
    return Math.max(0, length - free) * rate;
  };
  const lowestPaidRate = Math.min(
    ...kinds.flatMap((stick) => ((costs[stick] ?? 0) > 0 ? [(costs[stick] ?? 0) / (rooms[stick] ?? 1)] : [])),
    Number.POSITIVE_INFINITY,
  );

  const visit = (cost: number, rest: number): void => {
    steps += 1;
    if (steps > MOST_STEPS) return;
    const first = order.find((part) => (wanted[part] ?? 0) > 0);
    if (first === undefined) {
      if (best === null || cost < best.cost || (cost === best.cost && rest > best.rest + 1e-6))
        best = { cost, rest, sticks: [...chosen] };
      return;
    }
    const limit = Math.min(best?.cost ?? Number.POSITIVE_INFINITY, of.atMost ?? Number.POSITIVE_INFINITY);
    const least = leastFor();
    if (Number.isFinite(least) && cost + least > limit + 1e-6) return;
    const state = `${wanted.join()}|${left.map((count) => (Number.isFinite(count) ? count : '')).join()}`;
    const known = seen.get(state);
    if (known && known.cost <= cost && known.rest >= rest - 1e-6) return;
    seen.set(state, { cost, rest });
    for (const stick of kinds) {
      const room = rooms[stick] ?? 0;
      if ((left[stick] ?? 0) <= 0 || (takes[first] ?? 0) > room + 1e-9) continue;
      if (cost + (costs[stick] ?? 0) > limit + 1e-6) continue;
      const counts = new Array<number>(takes.length).fill(0);
      counts[first] = 1;
      wanted[first] = (wanted[first] ?? 0) - 1;
      left[stick] = (left[stick] ?? 0) - 1;
      fillStick(order.indexOf(first), room - (takes[first] ?? 0), counts, (room2) => {
        chosen.push({ stick, counts: [...counts] });
        visit(cost + (costs[stick] ?? 0), Math.max(rest, room2));
        chosen.pop();
      });
      wanted[first] = (wanted[first] ?? 0) + 1;
      left[stick] = (left[stick] ?? 0) + 1;
    }
  };

  /** Every fullest way to go on with a stick: nothing that is left would still fit on it. */
  const fillStick = (index: number, room: number, counts: number[], then: (room: number) => void): void => {
    if (steps > MOST_STEPS) return;
    const part = order[index];
    if (part === undefined) {
      const fits = order.some((other) => (wanted[other] ?? 0) > 0 && (takes[other] ?? 0) <= room + 1e-9);
      if (!fits) then(room);
      return;
    }
    const take = takes[part] ?? 1;
    const most = Math.min(wanted[part] ?? 0, Math.floor(room / take + 1e-9));
    for (let count = most; count >= 0; count -= 1) {
      counts[part] = (counts[part] ?? 0) + count;
      wanted[part] = (wanted[part] ?? 0) - count;
      fillStick(index + 1, room - count * take, counts, then);
      counts[part] = (counts[part] ?? 0) - count;
      wanted[part] = (wanted[part] ?? 0) + count;
    }
  };

  visit(0, 0);
  const found = best as { sticks: Pattern[] } | null;
  return { sticks: found?.sticks ?? null, isComplete: steps <= MOST_STEPS };
}
