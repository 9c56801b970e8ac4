import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct } from '../act';
import { insert, remove, update } from '../changes';

/** Keeps what was laid by hand on a supply's sheets; with nothing laid by hand the layout is left to the plan again. */
export const saveLayout = projectAct({
  kind: 'saveLayout',
  title: 'Layout kept',
  payload: z.strictObject({ layout: rowSchema('layouts') }),
  decide: (rows, { layout }) => {
    const { kindId, colorCardId, sheen, pins } = layout;
    const known = rows.layouts.find(
      (row) => row.kindId === kindId && row.colorCardId === colorCardId && row.sheen === sheen,
    );
    if (pins.length === 0) return known ? [remove('layouts', known.id)] : [];
    return known ? [update('layouts', known.id, { pins })] : [insert('layouts', layout)];
  },
});
