export interface LocalCluster {
  url: string;
  port: number;
  pid: number;
  bin: string;
  /** Stops the database, waiting until it is down. */
  stop(): Promise<void>;
}
export function ensurePostgresBinaries(): { major: number; bin: string }[];
export function dataFolder(root: string, wanted?: string): string;
export function freePort(): Promise<number>;
export function startLocalCluster(
  data: string,
  options?: { port?: number; settings?: readonly string[]; onUnexpectedEnd?: () => void },
): Promise<LocalCluster>;
