import { hiddenTables } from '@contract/permissions';
import type { OpenAPIHono } from '@hono/zod-openapi';
import { billsOfStudio } from '../persistence/bills';
import { projectList, snapshotTag } from '../persistence/projects';
import { snapshotText, withoutTables } from '../persistence/snapshots';
import { doneOrRefused, Refusal, refused } from '../usecases/answer';
import { copyProject } from '../usecases/copyProject';
import { exportProject } from '../usecases/exportProject';
import { runCommand } from '../usecases/runCommand';
import { type HandlerContext, readingFor } from './handlerContext';
import { acceptsPacked, type Found, knownState, serve, statePacked, stateText } from './routes';

/** Projects: the list, their rows, what is done to them, files in and out. */
export function projectHandlers(app: OpenAPIHono<Found>, handling: HandlerContext): void {
  const { database, environment, actor, write, freshen, known } = handling;
  serve(app, 'listProjects', async ({ query: { limit, offset }, sender }) => {
    const transaction = readingFor(handling, sender);
    await freshen(transaction);
    return { studioId: transaction.scope.studioId, projects: await projectList(transaction, limit, offset) };
  });

  serve(app, 'listBills', async ({ query, sender }) => billsOfStudio(readingFor(handling, sender), query));

  serve(app, 'readSnapshot', async ({ places: { projectId }, sender, context }) => {
    const transaction = readingFor(handling, sender);
    const state = knownState(context);
    const tag = await snapshotTag(transaction, projectId);
    if (tag === null) throw new Refusal(refused('notFound'));
    if (state === tag) return context.body(null, 304);
    const { studioId, role } = transaction.scope;
    const hidden = hiddenTables(role);
    const read = async () => withoutTables(await snapshotText(transaction, projectId), hidden);
    // As every browser asks for it, packed; and as text for whoever does not.
    const isPacked = acceptsPacked(context);
    const found = isPacked
      ? await known.snapshots.take(`${studioId} ${projectId} ${hidden.join(' ')}`, tag, read)
      : await read();
    if (!found) throw new Refusal(refused('notFound'));
    return 'bytes' in found ? statePacked(context, found) : stateText(context, found);
  });

  serve(app, 'exportProject', async ({ places: { projectId }, sender, context }) => {
    const file = await exportProject(readingFor(handling, sender), projectId, environment);
    if (!file) throw new Refusal(refused('notFound'));
    const name = file.project.name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '');
    const fileName = encodeURIComponent(name.toLowerCase() || 'project');
    context.header('Content-Disposition', `attachment; filename*=UTF-8''${fileName}.project.json`);
    return context.json(file);
  });

  serve(app, 'copyProject', async ({ places: { projectId }, body, sender }) => {
    const scope = actor(sender);
    return doneOrRefused(
      await write(scope, projectId, () => copyProject(database, scope, projectId, body, environment)),
    );
  });

  serve(app, 'runCommand', async ({ body, sender }) => {
    const refusal = handling.identity.refusalForAct(sender.asker, body.kind);
    if (refusal) throw new Refusal(refused(refusal));
    const scope = actor(sender);
    return doneOrRefused(
      await write(scope, body.projectId, () => runCommand(database, scope, body, environment, known)),
    );
  });
}
