import { randomUUID } from 'node:crypto';
import type { DoneAnswer } from '@contract/answers';
import type { Command } from '@contract/command';
import { rowIn, type Workspace } from '@core/acts/changes';
import { breachesOf } from '@core/acts/invariants';
import { perform } from '@core/acts/perform';
import { presentRows } from '@core/formats/project/presentRows';
import type { WrittenFile } from '@core/formats/project/projectFile';
import { readProjectFile } from '@core/formats/project/read';
import { withFinds } from '@core/model/finds';
import type { HouseRows, ProjectRows, StoredRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { describe, expect, it } from 'vitest';
import { throwAct } from '../core/fixtures/randomActs';
import { seededRandom } from '../core/kernel/seededRandom';
import { billSeries } from '../core/model/values/billKinds';
import { expectedVersions } from '../web/sync/foreseen';
import { withAnswer, withPieces } from '../web/sync/rowsAfter';
import { attic, freshStudio } from './test/studio';

/** How much is done: a few hundred acts in the ordinary run, EUPORIA_ACTS=2000 EUPORIA_SEEDS=50 by night. */
const ACTS = Number(process.env.EUPORIA_ACTS ?? 200);
const SEEDS = Number(process.env.EUPORIA_SEEDS ?? 1);
const FIRST_SEED = Number(process.env.EUPORIA_SEED ?? 1);

const { studio } = await freshStudio();

/** One of two people at the same studio, each with what their page showed last. */
interface Device {
  name: string;
  project: ProjectRows;
  house: HouseRows;
}

interface Tally {
  done: number;
  refused: number;
  conflicts: number;
  undone: number;
  builtOn: number;
  retried: number;
  files: number;
}

const NOW = Date.parse('2026-06-01T13:00:00Z');
const broken = (rows: Workspace) => breachesOf(rows).filter((breach) => breach.weightIn === undefined);

/** A studio at work: two devices, a project and the house, deletions, undo, retries, files; nothing may come apart. */
async function work(seed: number): Promise<Tally> {
  const random = seededRandom(seed);
  const dice = (sides: number) => Math.floor(random() * sides);
  const { projectId } = await attic(studio);
  const other = await attic(studio);
  const project = async (): Promise<ProjectRows> =>
    presentRows((await studio.send('GET', `/api/projects/${projectId}/snapshot`)).json as StoredRows);
  const house = async (): Promise<HouseRows> => {
    const { studioId: _studio, locale: _locale, ...rows } = (await studio.send('GET', '/api/house')).json;
    const { pieces } = (await studio.send('GET', '/api/house/pieces?limit=200&sort=name')).json;
    return { ...rows, pieces } as HouseRows;
  };
  const fresh = async (name: string): Promise<Device> => ({ name, project: await project(), house: await house() });
  const devices = [await fresh('one'), await fresh('two')];
  const acts: { actId: string; inHouse: boolean; taken: boolean }[] = [];
  const tally: Tally = { done: 0, refused: 0, conflicts: 0, undone: 0, builtOn: 0, retried: 0, files: 0 };
  const foreignIds = [other.projectId, other.slotId, other.spotId, projectId, studio.studioId];
  let last: { command: Command; status: number; json: unknown } | null = null;

  const send = async (command: Command, device: Device) => {
    const answer = await studio.send('POST', '/api/commands', command, { 'x-device': device.name });
    // Whatever is asked, and however stale the page is: no fault of ours, and a refusal says why.
    if (answer.status >= 500) throw new Error(`${answer.status} over ${JSON.stringify(command)}: ${answer.text}`);
    if (answer.status !== 200) expect(answer.json.sentence.length).toBeGreaterThan(5);
    last = { command, status: answer.status, json: answer.json };
    return answer;
  };

  for (let n = 0; n < ACTS; n += 1) {
    const device = devices[dice(2)] as Device;
    const inHouse = dice(4) === 0;
    const scopeId = inHouse ? studio.studioId : projectId;
    const what = dice(100);
    if (what < 72) {
      const seen: Workspace = inHouse ? device.house : withPieces(device.project, device.house.pieces);
      const thrown = throwAct(
        seen,
        [dice(9999), dice(9999), dice(9999), dice(9999), dice(9999)],
        randomUUID,
        foreignIds,
      );
      if (!thrown) continue;
      const expectations = expectedVersions(seen, thrown.kind, thrown.payload);
      // Foreseen now and then: the server brings whatever the command speaks of; the page knew it from somewhere.
      const foresee = !inHouse && dice(3) === 0;
      const known = foresee ? [...(await house()).pieces, ...device.house.pieces, ...device.project.pieces] : [];
      const before = foresee ? withPieces(await project(), known) : null;
      const foreseen = before ? perform(before, thrown.kind, thrown.payload) : null;
      const command = { key: randomUUID(), projectId: scopeId, ...thrown, expect: expectations };
      const answer = await send(command, device);
      if (answer.status === 200) {
        tally.done += 1;
        acts.push({ actId: answer.json.actId, inHouse, taken: false });
        if (inHouse) device.house = withAnswer(device.house, answer.json);
        else device.project = withAnswer(device.project, answer.json);
        if (foreseen) {
          // The page shows the very thing that the server keeps.
          if (!foreseen.ok) throw new Error(`${thrown.kind} was done and not foreseen: ${JSON.stringify(foreseen)}`);
          const plan = (rows: Workspace) => computePlan(rows as ProjectRows, NOW).purse;
          // What the house has of a color that is newly used comes with the answer.
          const rows = answer.json.rows.filter(({ table, row }: DoneAnswer['rows'][number]) => {
            const isBrought = table === 'supplies' || table === 'packs';
            return isBrought && rowIn(foreseen.after, table, String(row.id)) === null;
          });
          expect(plan(await project())).toEqual(
            plan(withAnswer(foreseen.after, { ...answer.json, rows, removed: [] })),
          );
        }
      } else {
        if (answer.status === 409) tally.conflicts += 1;
        else tally.refused += 1;
        Object.assign(device, await fresh(device.name));
      }
    } else if (what < 86) {
      const open = acts.filter((act) => !act.taken);
      const act = open[open.length - 1 - dice(Math.min(open.length, 6))];
      if (!act) continue;
      const home = act.inHouse ? studio.studioId : projectId;
      const undo = (also: string[]) =>
        send(
          {
            key: randomUUID(),
            projectId: home,
            kind: 'undo',
            payload: { actId: act.actId, also, reversalIds: Array.from({ length: 30 }, () => randomUUID()) },
            expect: {},
          },
          device,
        );
      let answer = await undo([]);
      if (answer.json.code === 'undo.builtOn') {
        tally.builtOn += 1;
        const also = (answer.json.acts as { actId: string }[]).map((entry) => entry.actId);
        // What is offered is done: the act goes together with those that built on it.
        if (also.length > 0) {
          answer = await undo(also);
          if (answer.status !== 200 && answer.json.code !== 'command.refused')
            throw new Error(`offered, and then refused: ${answer.text}`);
          if (answer.status === 200) for (const entry of acts) if (also.includes(entry.actId)) entry.taken = true;
        }
      }
      if (answer.status === 200) {
        tally.undone += 1;
        act.taken = true;
        // Brought back now and then: an undo is an act like any other.
        acts.push({ actId: answer.json.actId, inHouse: act.inHouse, taken: dice(3) > 0 });
      }
      Object.assign(device, await fresh(device.name));
    } else if (what < 92) {
      // The answer was lost on its way: the same key again, even twice at once.
      const sent = last as { command: Command; status: number; json: unknown } | null;
      if (!sent) continue;
      const again = await Promise.all([send(sent.command, device), send(sent.command, device)]);
      for (const answer of again) expect([answer.status, answer.json]).toEqual([sent.status, sent.json]);
      tally.retried += 1;
    } else if (what < 97) Object.assign(device, await fresh(device.name));
    else {
      const file = (await studio.send('GET', `/api/projects/${projectId}/file`)).json as WrittenFile;
      const read = readProjectFile(file);
      if (!read.ok) throw new Error(`what was written cannot be read: ${JSON.stringify(read.errors)}`);
      const figures = (rows: ProjectRows) => computePlan(rows, NOW).purse.money;
      expect(figures(read.file)).toEqual(figures(await project()));
      const updated = await studio.work('importProject', { mode: 'update', file });
      if (updated.status !== 200) throw new Error(`its own file was refused: ${updated.text}`);
      expect(figures(await project())).toEqual(figures(read.file));
      const copied = await studio.work('importProject', { mode: 'copy', file });
      expect(copied.status).toBe(200);
      await studio.command(copied.json.projectId, 'removeProject', { id: copied.json.projectId });
      tally.files += 1;
    }
    if (n % 10 === 9) {
      const now = await project();
      const wrong = broken(now);
      if (wrong.length > 0) throw new Error(`act ${n}: ${JSON.stringify(wrong)}`);
    }
  }
  // In the end both devices see the same, and what the project is can be written and read.
  const [one, two] = [await fresh('one'), await fresh('two')];
  expect(one.project).toEqual(two.project);
  expect(broken(one.project)).toEqual([]);
  expect(broken(one.house)).toEqual([]);
  expect(withFinds(one.project).finds).toHaveLength(one.project.sightings.length);
  // Whatever was refused, retried or taken back: bills are numbered without a gap.
  for (const series of billSeries) {
    const numbers = one.project.bills.filter((bill) => bill.series === series).map(({ number }) => number);
    expect(numbers.sort((a, b) => (a ?? 0) - (b ?? 0))).toEqual(numbers.map((_, n) => n + 1));
  }
  return tally;
}

describe('a studio at work', () => {
  it.each(Array.from({ length: SEEDS }, (_, n) => FIRST_SEED + n))(
    'holds together through whatever two devices do (seed %d)',
    async (seed) => {
      const tally = await work(seed);
      if (process.env.EUPORIA_SEEDS) process.stdout.write(`seed ${seed}: ${JSON.stringify(tally)}\n`);
      expect(tally.done).toBeGreaterThan(ACTS / 4);
      expect(tally.refused).toBeGreaterThan(0);
    },
    600_000,
  );
});
