import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { insert, update } from '../changes';
import { ledgerLine, payment } from './ledgerChanges';

/** A tool bought: the ledger pays, and it is owned and as good as new from now on. */
export const buyTool = projectAct({
  kind: 'buyTool',
  title: 'Tool bought',
  payload: z.strictObject({ tool: rowSchema('tools'), sourceId: id.nullable().optional(), ...payment }),
  decide: (rows, payload) => {
    const { tool, sourceId = null } = payload;
    // A tool that another device noted meanwhile, under its own id, is the same tool.
    const known = rows.tools.find((row) => row.toolId === tool.toolId);
    if (known?.owned && known.wear !== 'replace')
      return refuse('tool.toolId', tool.toolId, 'a tool that is not owned yet');
    const owned = { owned: true, wear: 'good' } as const;
    return [
      known ? update('tools', known.id, owned) : insert('tools', { ...tool, ...owned }),
      ledgerLine(payload, 'payment', { kind: 'tool', id: known?.id ?? tool.id }, { sourceId }),
    ];
  },
});
