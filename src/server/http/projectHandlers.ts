import type { OpenAPIHono } from '@hono/zod-openapi';
import { projectList, snapshotTag } from '../persistence/projects';
import { snapshotText } from '../persistence/snapshots';
import { copyProject } from '../usecases/copyProject';
import { exportProject } from '../usecases/exportProject';
import { importProject } from '../usecases/importProject';
import { runCommand } from '../usecases/runCommand';
import { errorAnswer } from './guard';
import { type HandlerContext, readingFor } from './handlerContext';
import { copyRoute, exportFile, importFile, listProjects, postCommand, readSnapshot } from './projectRoutes';

/** Projects: the list, their rows, what is done to them, files in and out. */
export function projectHandlers(app: OpenAPIHono, handling: HandlerContext): void {
  const { database, environment, studioId, actor, write, freshen, known } = handling;
  const reader = (device: string | undefined) => readingFor(handling, device);
  app.openapi(listProjects, async (context) => {
    const { limit, offset } = context.req.valid('query');
    const transaction = reader(context.req.header('x-device'));
    await freshen(transaction);
    const projects = await projectList(transaction, limit, offset);
    return context.json({ studioId, projects } as never, 200);
  });

  app.openapi(readSnapshot, async (context) => {
    const { projectId } = context.req.valid('param');
    const transaction = reader(context.req.header('x-device'));
    const known = context.req.header('if-none-match')?.replace(/^W\//, '').replaceAll('"', '');
    if (known !== undefined && known === (await snapshotTag(transaction, projectId)))
      return context.body(null, 304) as never;
    const text = await snapshotText(transaction, projectId);
    if (!text) return errorAnswer(context, 'notFound') as never;
    context.header('ETag', `W/"${text.tag}"`);
    context.header('Cache-Control', 'no-cache');
    context.header('Content-Type', 'application/json; charset=utf-8');
    return context.body(text.body) as never;
  });

  app.openapi(exportFile, async (context) => {
    const { projectId } = context.req.valid('param');
    const file = await exportProject(reader(context.req.header('x-device')), projectId, environment);
    if (!file) return errorAnswer(context, 'notFound') as never;
    const name =
      file.project.name
        .replace(/[^\p{L}\p{N}]+/gu, '-')
        .replace(/^-|-$/g, '')
        .toLowerCase() || 'project';
    context.header('Content-Disposition', `attachment; filename*=UTF-8''${encodeURIComponent(name)}.project.json`);
    return context.json(file as never, 200);
  });

  app.openapi(importFile, async (context) => {
    const { mode, file, key } = context.req.valid('json');
    const scope = actor(context.req.header('x-device'));
    const answer = await write(scope, 'imports', () =>
      importProject(database, scope, file, mode, key ?? environment.newId(), environment),
    );
    return context.json(answer.body as never, answer.status as 200);
  });

  app.openapi(copyRoute, async (context) => {
    const { projectId } = context.req.valid('param');
    const request = context.req.valid('json');
    const scope = actor(context.req.header('x-device'));
    const answer = await write(scope, projectId, () => copyProject(database, scope, projectId, request, environment));
    return context.json(answer.body as never, answer.status as 200);
  });

  app.openapi(postCommand, async (context) => {
    const command = context.req.valid('json');
    const scope = actor(context.req.header('x-device'));
    const answer = await write(scope, command.projectId, () =>
      runCommand(database, scope, command, environment, known),
    );
    return context.json(answer.body as never, answer.status as 200);
  });
}
