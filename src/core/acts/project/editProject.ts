import { z } from 'zod';
import { project } from '../../model/entities/project';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { updateProject } from '../changes';

/** Changes the open project's own fields; another one's id is refused. */
export const editProject = projectAct({
  kind: 'editProject',
  title: 'Brief changed',
  titleFor: ({ values }) =>
    values.archivedOn === undefined
      ? 'Brief changed'
      : values.archivedOn === null
        ? 'Back from the archive'
        : 'Archived',
  payload: z.strictObject({ id, values: z.strictObject(project.fields).partial() }),
  decide: (rows, payload) =>
    payload.id === rows.project.id
      ? [updateProject(payload.id, payload.values)]
      : refuse('id', payload.id, 'the project that is open'),
});
