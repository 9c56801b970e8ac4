import type { LocalCluster } from './postgres.mjs';

export function temporaryFolder(name: string): string;
export function temporaryCluster(name: string, options?: { port?: number }): Promise<LocalCluster & { folder: string }>;
