import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { project } from '../../model/entities/project';
import { projectAct, refuse } from '../act';
import { insert, updateProject } from '../changes';

/** The palette as it shall be, with the color cards that are new in it. */
export const setPalette = projectAct({
  kind: 'setPalette',
  title: 'Palette changed',
  payload: z.strictObject({
    palette: project.fields.brief.shape.palette,
    cards: z.array(rowSchema('colorCards')).max(24, 'at most 24 colors'),
  }),
  decide: (rows, payload) => {
    const known = new Set([...rows.colorCards, ...payload.cards].map((card) => card.id));
    const unknown = payload.palette.find((entry) => !known.has(entry.colorCardId));
    if (unknown) return refuse('palette', unknown.colorCardId, 'a color card of this studio');
    return [
      ...payload.cards.map((card) => insert('colorCards', card)),
      updateProject(rows.project.id, { brief: { ...rows.project.brief, palette: payload.palette } }),
    ];
  },
});
