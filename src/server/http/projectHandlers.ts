import type { OpenAPIHono } from '@hono/zod-openapi';
import { projectList, snapshotTag } from '../persistence/projects';
import { snapshotText } from '../persistence/snapshots';
import { doneOrRefused, Refusal, refused } from '../usecases/answer';
import { copyProject } from '../usecases/copyProject';
import { exportProject } from '../usecases/exportProject';
import { importProject } from '../usecases/importProject';
import { runCommand } from '../usecases/runCommand';
import { type HandlerContext, readingFor } from './handlerContext';
import { type Found, knownState, serve, stateText } from './routes';

/** Projects: the list, their rows, what is done to them, files in and out. */
export function projectHandlers(app: OpenAPIHono<Found>, handling: HandlerContext): void {
  const { database, environment, actor, write, freshen, known } = handling;
  serve(app, 'listProjects', async ({ query: { limit, offset }, sender }) => {
    const transaction = readingFor(handling, sender);
    await freshen(transaction);
    return { studioId: transaction.scope.studioId, projects: await projectList(transaction, limit, offset) };
  });

  serve(app, 'readSnapshot', async ({ places: { projectId }, sender, context }) => {
    const transaction = readingFor(handling, sender);
    const state = knownState(context);
    if (state !== undefined && state === (await snapshotTag(transaction, projectId))) return context.body(null, 304);
    const text = await snapshotText(transaction, projectId);
    if (!text) throw new Refusal(refused('notFound'));
    return stateText(context, text);
  });

  serve(app, 'exportProject', async ({ places: { projectId }, sender, context }) => {
    const file = await exportProject(readingFor(handling, sender), projectId, environment);
    if (!file) throw new Refusal(refused('notFound'));
    const name = file.project.name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '');
    const fileName = encodeURIComponent(name.toLowerCase() || 'project');
    context.header('Content-Disposition', `attachment; filename*=UTF-8''${fileName}.project.json`);
    return context.json(file);
  });

  serve(app, 'importProject', async ({ body: { mode, file, key }, sender }) => {
    const scope = actor(sender);
    return doneOrRefused(
      await write(scope, 'imports', () =>
        importProject(database, scope, file, mode, key ?? environment.newId(), environment),
      ),
    );
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
