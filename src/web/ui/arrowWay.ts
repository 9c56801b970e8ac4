const ways: Readonly<Record<string, readonly [right: number, down: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/**
 * Where an arrow key points on the screen: one step to the right and down; null for any other key.
 * @example "ArrowUp" → [0, -1]
 */
export function arrowWay(key: string): readonly [right: number, down: number] | null {
  return ways[key] ?? null;
}
