import { createRegistry } from '../kernel/registry';
import { type Tool, toolRows } from './tools.data';

/** All tools by id. */
export const tools = createRegistry<Tool>('tools', toolRows);

/** The tool that cuts film by a file. */
export const CUTTING_MACHINE = 'cuttingMachine';
