import { readFile } from 'node:fs/promises';
import { errorCodes } from '@contract/errors';
import { planReport } from '@contract/planReport';
import { readProjectFile } from '@core/formats/project/read';
import { computePlan } from '@core/plan/computePlan';

const USAGE = 'usage: npm run --silent plan -- [--as-of 2026-06-01T09:00-04:00] file.json';

/** The command line's plan: prints JSON and gives 0, or says why not on standard error and gives 2. */
export async function runPlan(
  args: readonly string[],
  out: (text: string) => Promise<unknown>,
  err: (text: string) => unknown,
): Promise<number> {
  const refuse = (reason: string): number => {
    err(`${reason}\n`);
    return 2;
  };
  let asOf: string | null = null;
  const files: string[] = [];
  for (let i = 0; i < args.length; i += 1) {
    const arg = args[i] ?? '';
    if (arg === '--as-of') {
      asOf = args[i + 1] ?? '';
      i += 1;
    } else if (arg.startsWith('--as-of=')) asOf = arg.slice('--as-of='.length);
    else if (arg.startsWith('-')) return refuse(`unknown option "${arg}"\n${USAGE}`);
    else files.push(arg);
  }
  const [path] = files;
  if (path === undefined || files.length > 1) return refuse(USAGE);
  if (
    asOf !== null &&
    (!/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/.test(asOf) || Number.isNaN(Date.parse(asOf)))
  ) {
    return refuse(`--as-of: "${asOf}" is not a moment; write it like 2026-06-01T09:00-04:00`);
  }
  let text: string;
  try {
    text = await readFile(path, 'utf8');
  } catch (error) {
    return refuse(`${path}: cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown'})`);
  }
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch (error) {
    return refuse(`${path}: not JSON: ${(error as Error).message}`);
  }
  const read = readProjectFile(input);
  if (!read.ok) {
    const places = read.errors.map(
      (entry) => `  ${entry.field}: ${JSON.stringify(entry.value)}; accepted: ${entry.accepted}`,
    );
    return refuse(`${path}: ${errorCodes[read.code].sentence}\n${places.join('\n')}`);
  }
  const moment = asOf ?? read.file.asOf;
  await out(`${JSON.stringify(planReport(computePlan(read.file, Date.parse(moment)), moment), null, 2)}\n`);
  return 0;
}
