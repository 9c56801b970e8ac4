import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { houseAct } from '../act';
import { insert, update } from '../changes';

/** Whether a tool is owned, and how worn it is. */
export const setTool = houseAct({
  kind: 'setTool',
  title: 'Tool noted',
  payload: z.strictObject({ tool: rowSchema('tools') }),
  decide: (rows, { tool }) => {
    const known = rows.tools.find((row) => row.toolId === tool.toolId);
    return [known ? update('tools', known.id, { owned: tool.owned, wear: tool.wear }) : insert('tools', tool)];
  },
});
