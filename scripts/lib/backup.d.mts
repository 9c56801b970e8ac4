export function holdings(at: { bin: string; url: string }): { projects: number; pieces: number; pictures: number };
export function newestMigration(root: string): number;
export function backupName(nowMs: number, word?: string): string;
export function backUp(at: { bin: string; url: string; file: string }): number;
export function restore(at: {
  bin: string;
  url: string;
  file: string;
  before: string;
  known: number;
}): Promise<string | null>;
