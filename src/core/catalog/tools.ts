import { createRegistry } from '../kernel/registry';
import { type Tool, toolRows } from './tools.data';

/** All tools by id. */
export const tools = createRegistry<Tool>('tools', toolRows);
