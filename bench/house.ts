import { slotRoles } from '@core/model/rows';
import type { Euporia } from '../e2e/lib/euporia';
import { type Timing, timing } from './measure';

const PIECES = 10_000;

/** Ten thousand invented pieces as CSV, the same for the same seed. */
export function houseCsv(count: number, seed = 11): string {
  let state = seed;
  const next = (below: number) => {
    state = (state * 16_807) % 2_147_483_647;
    return state % below;
  };
  const what = ['vase', 'lantern', 'basket', 'frame', 'candlestick', 'tray', 'book', 'bowl', 'planter', 'stool'];
  const how = ['blue', 'old', 'tall', 'wicker', 'white', 'brass', 'small', 'painted', 'green', 'striped'];
  const lines = Array.from({ length: count }, (_, n) => {
    const hex = `#${next(0x1000000).toString(16).padStart(6, '0')}`;
    const used = next(3) === 0 ? '' : `20${18 + next(8)}-0${1 + next(9)}-1${next(9)}`;
    return [
      `${how[next(10)]} ${what[next(10)]} ${n}`,
      4 + next(40),
      4 + next(30),
      4 + next(20),
      hex,
      slotRoles[next(slotRoles.length)],
      next(2) === 0 ? '' : 'mantel',
      `${next(60)}`,
      used,
    ].join(',');
  });
  return `Name,Height,Width,Depth,Color,Roles,Stands at,Box,Last used\n${lines.join('\n')}\n`;
}

/** Ranking, search and import at ten thousand pieces, through HTTP as a page asks. */
export async function houseBench(
  euporia: Euporia,
  projectId: string,
  show: (name: string, value: Timing, aim: string) => void,
): Promise<void> {
  const post = (path: string, body: object) =>
    fetch(`${euporia.address}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  const wish = { kind: 'pieces', text: houseCsv(PIECES), units: 'us', currency: 'USD', today: '2026-06-01' };
  const once = async (work: () => Promise<unknown>): Promise<Timing> => {
    const start = performance.now();
    await work();
    const took = performance.now() - start;
    return { median: took, least: took, most: took };
  };
  show(
    'CSV of 10,000 pieces, preview',
    await once(async () => (await post('/api/house/import/preview', wish)).text()),
    '',
  );
  show('CSV of 10,000 pieces, written', await once(() => euporia.work('importHouse', wish)), 'under 10 s');
  const { slots } = (await euporia.json(`/api/projects/${projectId}/snapshot`)) as { slots: { id: string }[] };
  let turn = 0;
  const rank = async () => {
    turn += 1;
    const slot = slots[turn % slots.length];
    return (await fetch(`${euporia.address}/api/projects/${projectId}/slots/${slot?.id}/fits?limit=30`)).text();
  };
  show('a slot ranked against 10,000 pieces, page with reasons', await timing(40, rank), 'under 50 ms');
  const words = ['b', 'bl', 'blu', 'blue v', 'blue vas', 'old lant', 'wicker basket 1', 'brass'];
  const search = async () => {
    turn += 1;
    const query = encodeURIComponent(words[turn % words.length] ?? '');
    return (await fetch(`${euporia.address}/api/house/pieces?words=${query}&limit=60`)).text();
  };
  show('search as you type at 10,000', await timing(40, search), '');
  show(
    'search near a color at 10,000',
    await timing(20, async () => (await fetch(`${euporia.address}/api/house/pieces?near=2f6f73&limit=60`)).text()),
    '',
  );
}
