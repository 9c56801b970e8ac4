import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { project } from '../../model/entities/project';
import { projectAct } from '../act';
import { insert } from '../changes';

/** A new project, with its first spot where one was named. Decided without any rows, as there are none yet. */
export const createProject = projectAct({
  kind: 'createProject',
  title: 'Project made',
  payload: z.strictObject({
    // A device that waits since before there was an archive says nothing of it.
    project: project.row.extend({ archivedOn: project.fields.archivedOn.default(null) }),
    spot: rowSchema('spots').nullable(),
  }),
  decide: (_rows, payload) => [
    { table: 'project', op: 'insert', row: { ...payload.project, version: 1 } },
    ...(payload.spot ? [insert('spots', payload.spot)] : []),
  ],
});
