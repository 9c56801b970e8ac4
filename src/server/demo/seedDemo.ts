import { randomUUID } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { houseTables } from '@core/formats/house/planImport';
import type { Database } from '../persistence/database';
import type { StudioScope } from '../persistence/scope';
import { doneOrRefused } from '../usecases/answer';
import type { Environment } from '../usecases/environment';
import { importHouse } from '../usecases/importHouse';
import { importProject } from '../usecases/importProject';
import { moveDates, moveTable } from './moveDates';
import { demoPictures, withDemoPictures } from './pictures';

/**
 * Puts the demo into a studio: its projects with their pictures, then the things of its house, all dated from now.
 * @param folder with `*.project.json`, `house.*.csv` and `pictures`
 * @throws Error where a part of the demo is refused
 */
export async function seedDemo(
  database: Database,
  scope: StudioScope,
  folder: string,
  environment: Environment,
): Promise<void> {
  const now = environment.nowMs();
  const drawings = join(folder, 'pictures');
  const pictures = await demoPictures(drawings);
  const projects = (await readdir(folder)).filter((name) => name.endsWith('.project.json'));
  for (const name of projects.sort().reverse()) {
    const file: unknown = JSON.parse(await readFile(join(folder, name), 'utf8'));
    const own = pictures.filter(({ project }) => project === name);
    const answer = await importProject(database, scope, moveDates(file, now), 'copy', randomUUID(), environment, {
      pictured: (read, transaction) => withDemoPictures(transaction, read, drawings, own, now),
    });
    if (answer.status !== 200) throw new Error(`the demo project ${name} was refused: ${JSON.stringify(answer.body)}`);
  }
  for (const kind of houseTables) {
    const text = moveTable(await readFile(join(folder, `house.${kind}.csv`), 'utf8'), now);
    const today = new Date(now).toISOString().slice(0, 10);
    const request = { kind, text, units: 'us' as const, currency: 'USD', today };
    const nobody = { step: () => undefined, end: async () => undefined };
    const done = doneOrRefused(await importHouse(database, scope, request, randomUUID(), environment, nobody));
    if ((done.counts.bad ?? 0) > 0) throw new Error(`lines of the demo’s ${kind} were refused`);
  }
}
