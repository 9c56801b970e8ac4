import { Pool } from 'pg';
import type { Euporia } from '../e2e/lib/euporia';

const show = (line: string) => process.stdout.write(`${line}\n`);
const middle = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;
const WRITES = 40;

interface Snapshot {
  slots: { id: string }[];
}

/**
 * Writes, as pages send them, through `npm start`: one device, forty and eighty at once, a reader of another project
 * beside them; first in a studio with little in it, then in one at its limits.
 */
export async function writeBench(
  euporia: Euporia,
  databaseUrl: string,
  importProject: () => Promise<string>,
): Promise<void> {
  const post = (path: string, body: object) =>
    fetch(`${euporia.address}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  const busy = await importProject();
  const quiet = await importProject();
  const { slots } = (await euporia.json(`/api/projects/${busy}/snapshot`)) as unknown as Snapshot;
  let turn = 0;
  /** One small change, as a person makes it; its status and how long it took. */
  const write = async (): Promise<{ status: number; took: number }> => {
    turn += 1;
    const start = performance.now();
    const answer = await post('/api/commands', {
      key: crypto.randomUUID(),
      projectId: busy,
      kind: 'editSlot',
      payload: { id: slots[turn % slots.length]?.id, values: { note: `turn ${turn}` } },
      expect: {},
    });
    await answer.text();
    return { status: answer.status, took: performance.now() - start };
  };
  const read = async (): Promise<number> => {
    const start = performance.now();
    await (await fetch(`${euporia.address}/api/projects/${quiet}/snapshot`)).text();
    return performance.now() - start;
  };
  const oneWriter = async (name: string, aim: string) => {
    for (let n = 0; n < 8; n += 1) await write();
    const start = performance.now();
    for (let n = 0; n < WRITES; n += 1) await write();
    show(`${name}: ${((WRITES * 1000) / (performance.now() - start)).toFixed(1)} a second; aim: ${aim}`);
  };
  const manyWriters = async (writers: number) => {
    const alone: number[] = [];
    for (let n = 0; n < 8; n += 1) alone.push(await read());
    const statuses = new Map<number, number>();
    const beside: number[] = [];
    let running = true;
    const work = Promise.all(
      Array.from({ length: writers }, async () => {
        for (let n = 0; n < 4; n += 1) {
          const { status } = await write();
          statuses.set(status, (statuses.get(status) ?? 0) + 1);
        }
      }),
    ).then(() => {
      running = false;
    });
    while (running) beside.push(await read());
    await work;
    show(
      `${writers} writers at once: answered ${JSON.stringify(Object.fromEntries(statuses))}; a read of another project beside them ${middle(beside).toFixed(0)} ms, ${(middle(beside) / middle(alone)).toFixed(1)} × alone (most ${Math.max(0, ...beside).toFixed(0)} ms); aim: none refused, under 2 ×`,
    );
  };
  await oneWriter('writes, one writer', '40');
  await manyWriters(40);
  await manyWriters(80);
  const list = async () => {
    const start = performance.now();
    await (await fetch(`${euporia.address}/api/projects`)).text();
    return performance.now() - start;
  };
  for (let n = 0; n < 40; n += 1) await importProject();
  await list();
  await post('/api/commands', {
    key: crypto.randomUUID(),
    projectId: ((await euporia.json('/api/projects')) as { studioId: string }).studioId,
    kind: 'setTool',
    payload: { tool: { id: crypto.randomUUID(), version: 1, toolId: 'respirator', owned: true, wear: 'good' } },
    expect: {},
  });
  show(`project list of 42 large projects after a change in the house: ${(await list()).toFixed(0)} ms; aim: 50 ms`);
  await fillStudio(databaseUrl);
  await oneWriter('writes at the studio’s limits, one writer', '30');
  const sizes = await (await fetch(`${euporia.address}/api/projects/${quiet}/snapshot`)).text();
  const times: number[] = [];
  for (let n = 0; n < 10; n += 1) times.push(await read());
  show(
    `snapshot at the studio’s limits: ${(sizes.length / 1024).toFixed(0)} KB, ${middle(times).toFixed(0)} ms; aim: only what the project refers to`,
  );
}

/** A studio as full as it may be: 2,000 supplies in 300 colors with three packs each, 10,000 pieces, a long ledger. */
async function fillStudio(databaseUrl: string): Promise<void> {
  const pool = new Pool({ connectionString: databaseUrl, max: 1 });
  try {
    await pool.query(`
      with s as (select id from "studio" limit 1),
      c as (insert into "color_card" (id, studio_id, name, lab_l, lab_a, lab_b) select gen_random_uuid(), s.id, 'Filled ' || n, 50, 0, 0 from s, generate_series(1, 300) n returning id, studio_id),
      numbered as (select id, studio_id, row_number() over () n from c),
      kinds as (select unnest(array['chalk','wallAcrylic','waterborneEnamel','mineralPaint','oilEnamel','aerosolEnamel','craftAcrylic']) kind),
      made as (insert into "supply" (id, studio_id, kind_id, color_card_id, sheen, stash, base, offcuts)
        select gen_random_uuid(), c.studio_id, kinds.kind, c.id, 'matt', '{"state":"exact","amount":100}'::jsonb, '', '[]'::jsonb from numbered c, kinds limit 2000 returning id, studio_id)
      insert into "pack" (id, studio_id, supply_id, name, size, price, currency, source, seen_on)
        select gen_random_uuid(), made.studio_id, made.id, 'pack ' || n, 400 * n, '{"state":"stated","low":1900,"high":1900}'::jsonb, 'USD', '', '' from made, generate_series(1, 3) n`);
  } finally {
    await pool.end();
  }
}
