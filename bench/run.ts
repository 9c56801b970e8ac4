import { perform } from '@core/acts/perform';
import { corpusScore } from '@core/fixtures/corpusScore';
import { laterLines, quickLineCorpus } from '@core/fixtures/quickLineCorpus';
import { writeProjectFile } from '@core/formats/project/write';
import type { ProjectRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { Pool } from 'pg';
import { Person } from '../e2e/lib/browser';
import { Euporia } from '../e2e/lib/euporia';
import { temporaryCluster, temporaryFolder } from '../scripts/lib/temporary.mjs';
import { SNAPSHOT_SQL } from '../src/server/persistence/sql/snapshot';
import { awayBench } from './away';
import { balanceBench } from './balance';
import { boardBench } from './board';
import { cuttingBench } from './cutting';
import { largeProject } from './generate';
import { houseBench } from './house';
import { huntBench } from './hunt';
import { dryingLineBench, paletteBench, sketchBench } from './interface';
import { looksBench } from './looks';
import { calibrationLoop, type Timing, timing } from './measure';
import { outlinesBench } from './outlines';
import { recipeBench } from './recipe';
import { scheduleBench } from './schedule';
import { writeBench } from './writes';

/** What npm run bench measures. Times are of this machine; the ratios to the calibration loop are what to compare. */
const calibration = await timing(30, calibrationLoop);
const show = (name: string, value: Timing, aim: string) =>
  process.stdout.write(
    `${name.padEnd(58)} median ${value.median.toFixed(2)} ms (${value.least.toFixed(2)} to ${value.most.toFixed(2)}), ${(value.median / calibration.median).toFixed(2)} × calibration${aim ? `; aim: ${aim}` : ''}\n`,
  );
show('calibration loop', calibration, '');

// What the reader of quick lines understands, on lines it was written with and on those held out.
for (const [name, lines] of [
  ['seen', quickLineCorpus.filter((line) => !line.heldOut)],
  ['held out', quickLineCorpus.filter((line) => line.heldOut)],
  ['written later', laterLines],
] as const) {
  const score = corpusScore(lines);
  const percent = (share: number) => `${(share * 100).toFixed(1)} %`;
  process.stdout.write(
    `quick lines, ${name} (${score.lines}): prices ${percent(score.price)}, kinds ${percent(score.kind)}, counts ${percent(score.count)} right; aim: 95, 90 %\n`,
  );
}

const rows = largeProject(7);
const asOf = Date.parse('2026-06-01T13:00:00Z');
// The very first of this process, before anything is warm.
const coldStart = performance.now();
computePlan(rows, asOf);
const cold = performance.now() - coldStart;
show('first plan of a fresh process', { median: cold, least: cold, most: cold }, 'under 80 ms');
const size = `${rows.slots.length} slots, ${rows.options.length} options, ${rows.recipes.length} recipes`;
show(`purse from scratch, ${size}`, await timing(60, () => computePlan(rows, asOf)), 'under 6 ms');
show(
  'the same with the first dozen slots',
  await timing(60, () =>
    computePlan(rows, asOf)
      .slots.slice(0, 12)
      .map((slot) => slot.options),
  ),
  'under 10 ms',
);
show('the same with every cell', await timing(30, () => computePlan(rows, asOf).slots.map((slot) => slot.options)), '');

// What a stylist waits for: one choice changed, the rest as it was.
const before = computePlan(rows, asOf);
before.slots.map((slot) => slot.options);
let turn = 0;
/** One choice changed, in rows where a page would have it changed. */
const chooseIn = (of: ProjectRows): ProjectRows => {
  turn += 1;
  const slot = of.slots[turn % of.slots.length];
  const ways = of.options.filter((entry) => entry.slotId === slot?.id);
  const fills = of.fills.map((fill) =>
    fill.slotId === slot?.id ? { ...fill, optionId: ways[turn % 4]?.id ?? fill.optionId } : fill,
  );
  return { ...of, fills };
};
show('one choice: purse', await timing(60, () => computePlan(chooseIn(rows), asOf, before)), 'under 2 ms');
show(
  'one choice: every cell',
  await timing(60, () => computePlan(chooseIn(rows), asOf, before).slots.map((slot) => slot.options)),
  '',
);

// How it grows: everything chosen, every cell, a slot's share of the time with 25 and with 400 slots.
const shares: number[] = [];
const choices: number[] = [];
for (const slots of [25, 400]) {
  const grown = largeProject(7, slots);
  shares.push((await timing(12, () => computePlan(grown, asOf).slots.map((slot) => slot.options))).median / slots);
  const known = computePlan(grown, asOf);
  known.slots.map((slot) => slot.options);
  choices.push((await timing(30, () => computePlan(chooseIn(grown), asOf, known))).median);
}
const [few = 1, many = 0] = shares;
const [quick = 1, slow = 0] = choices;
process.stdout.write(
  `growth per slot from 25 to 400 slots: × ${(many / few).toFixed(2)}; aim: × 1.1; one choice in 400 slots ${(slow / quick).toFixed(1)} × that in 25\n`,
);

// What comes before it: the act itself, with everything that it must leave intact.
show(
  'one act decided and judged over all of it',
  await timing(60, () => {
    turn += 1;
    const slot = rows.slots[turn % rows.slots.length];
    return perform({ ...rows }, 'editSlot', { id: slot?.id ?? '', values: { note: `turn ${turn}` } });
  }),
  'under 8 ms',
);

await recipeBench(show);
await scheduleBench(show);
await looksBench(show);
await cuttingBench();
await outlinesBench();
await balanceBench();
await huntBench(show);

const cluster = await temporaryCluster('euporia-bench');
const euporia = await Euporia.start({ env: { DATABASE_URL: cluster.url } });
const person = await Person.open();
const folder = temporaryFolder('euporia-bench-photos');
const pool = new Pool({ connectionString: cluster.url, max: 2 });
try {
  const file = writeProjectFile(rows, '2026-06-01T09:00:00-04:00', 'bench');
  const importProject = async (): Promise<string> => {
    const { projectId } = (await euporia.work('importProject', { mode: 'copy', file })) as { projectId: string };
    return projectId;
  };
  const projectId = await importProject();
  const studioId = ((await euporia.json('/api/projects')) as { studioId: string }).studioId;
  const bare = await timing(60, () => pool.query(SNAPSHOT_SQL, [studioId, projectId, [], false]));
  const api = await timing(60, async () =>
    (
      await fetch(`${euporia.address}/api/projects/${projectId}/snapshot`, {
        headers: { 'accept-encoding': 'identity' },
      })
    ).arrayBuffer(),
  );
  show('snapshot of that project, the same SQL bare', bare, '');
  show(
    'snapshot of that project through the API',
    api,
    `under 3 × bare; it is ${(api.median / bare.median).toFixed(2)} ×`,
  );

  await boardBench(euporia.address, projectId);

  const demo = ((await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] }).projects;
  await houseBench(euporia, demo.find((project) => project.name === 'Attic bedroom')?.id ?? '', show);

  const scripts = async (path: string, text: string) => {
    await person.goto(`${euporia.address}${path}`);
    await person.seeText(text);
    await person.driver.sleep(1500);
    const sizes = (await person.driver.executeScript(
      'return performance.getEntriesByType("resource").filter(e=>/\\.js(\\?|$)/.test(e.name)).map(e=>[e.name.split("/").pop(),e.encodedBodySize])',
    )) as [string, number][];
    return sizes.reduce((sum, [, size]) => sum + size, 0) / 1024;
  };
  const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
  const attic = projects.find((project) => project.name === 'Attic bedroom')?.id;
  const start = await scripts('/', 'Attic bedroom');
  const board = await scripts(`/p/${attic}/compare`, 'Which way for each slot?');
  process.stdout.write(`gzipped JavaScript until idle, start page: ${start.toFixed(0)} KB; aim: 200 KB\n`);
  process.stdout.write(`gzipped JavaScript until idle, board: ${board.toFixed(0)} KB; aim: 400 KB\n`);
  await paletteBench(person, euporia, `/p/${attic}/brief`, folder);
  await dryingLineBench(person, euporia, projectId);
  await sketchBench(person, euporia, projectId);
  await awayBench(euporia, person, cluster.url, attic ?? '');
  // Last, since it fills the studio.
  await writeBench(euporia, cluster.url, importProject);
} finally {
  await pool.end();
  await person.close();
  await euporia.remove();
  await cluster.stop();
}
