/**
 * The pattern of most worth on one stick: how many of each part, none more often than wanted (a bounded knapsack, by
 * branch and bound over parts in the order of worth by length).
 * @param room length of the stick with one kerf more, since a part takes its length and a kerf
 * @param takes what each part takes of it, kerf in it
 * @returns counts by part, and what they are worth
 */
export function bestPattern(
  room: number,
  takes: readonly number[],
  worth: readonly number[],
  most: readonly number[],
): { counts: number[]; worth: number } {
  const order = takes
    .map((_, part) => part)
    .filter((part) => (worth[part] ?? 0) > 1e-12 && (most[part] ?? 0) > 0 && (takes[part] ?? 0) <= room + 1e-9)
    .sort((a, b) => (worth[b] ?? 0) / (takes[b] ?? 1) - (worth[a] ?? 0) / (takes[a] ?? 1));
  const counts = new Array<number>(takes.length).fill(0);
  let best = { counts: [...counts], worth: 0 };
  // Where the tree is larger than this the best so far is close enough; for sticks of this trade it never is.
  let nodes = 200_000;
  const visit = (index: number, left: number, sum: number): void => {
    if (sum > best.worth + 1e-12) best = { counts: [...counts], worth: sum };
    const part = order[index];
    nodes -= 1;
    if (part === undefined || nodes < 0) return;
    const take = takes[part] ?? 1;
    if (sum + (left * (worth[part] ?? 0)) / take <= best.worth + 1e-12) return;
    for (let count = Math.min(most[part] ?? 0, Math.floor(left / take + 1e-9)); count >= 0; count -= 1) {
      counts[part] = count;
      visit(index + 1, left - count * take, sum + count * (worth[part] ?? 0));
    }
    counts[part] = 0;
  };
  visit(0, room, 0);
  return best;
}
