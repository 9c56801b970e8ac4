import { arrowWay } from '../../ui/arrowWay';

/** Arrow keys go from chip to chip. */
export function moveOnBoard(event: React.KeyboardEvent<HTMLElement>) {
  const step = arrowWay(event.key);
  const from = (event.target as HTMLElement).closest<HTMLElement>('[data-chip]');
  if (!step || !from) return;
  const [dx, dy] = step;
  const here = from.getBoundingClientRect();
  let best: HTMLElement | null = null;
  let bestDistance = Number.POSITIVE_INFINITY;
  for (const chip of event.currentTarget.querySelectorAll<HTMLElement>('[data-chip]')) {
    const there = chip.getBoundingClientRect();
    const along = dx !== 0 ? (there.left - here.left) * dx : (there.top - here.top) * dy;
    const across = dx !== 0 ? Math.abs(there.top - here.top) : Math.abs(there.left - here.left);
    if (along <= 4) continue;
    const distance = along + across * 3;
    if (distance < bestDistance) {
      best = chip;
      bestDistance = distance;
    }
  }
  if (best) {
    event.preventDefault();
    best.focus();
  }
}
