import { assumptionDefinitions } from '../catalog/assumptions';
import { grouped } from '../kernel/grouped';
import type { LogEntryRow } from '../model/rows';
import { factorOf } from './learnFactors';
import { learningRateOf } from './learningCurve';

/** A trend smaller than this is none. */
const LEAST_TREND = 0.08;

/** How planned and actual minutes stand to each other, of one kind of work or one project. */
export interface LogSum {
  key: string;
  name: string;
  entries: number;
  /** Lines that count in what is learned. */
  counted: number;
  expectedMinutes: number;
  actualMinutes: number;
  /** The factor that the lines teach; null where there are too few, and for projects. */
  factor: number | null;
  /** The share of the time that each doubling of how often it was done takes; null where there are too few lines. */
  learningRate: number | null;
}

/** What is not in the tables of rates, as the log calls it. */
const otherWork: Readonly<Record<string, string>> = {
  'step.dismantle': 'take apart, label',
  'step.reassemble': 'put together again',
  'step.testPatch': 'test patch',
  'step.own': 'steps of your own',
  'step.mend': 'mend',
  'step.spotTask': 'clear and clean the spot',
  'step.place': 'set in place',
};

/** What a kind of work is called. */
export function workName(work: string): string {
  const label = assumptionDefinitions.get(work)?.label;
  if (label) return label.replace(/^Hands-on: /, '');
  return otherWork[work] ?? work.replace(/^step\./, '').replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
}

/** A factor in words: "as expected", "12 % longer", "8 % quicker". */
export function factorWords(factor: number): string {
  const percent = Math.round((factor - 1) * 100);
  return percent === 0 ? 'as expected' : percent > 0 ? `${percent} % longer` : `${-percent} % quicker`;
}

/** A learning rate in words, where there is a trend: "each doubling takes 91 % of the time"; empty where there is none. */
export function trendWords(learningRate: number | null): string {
  if (learningRate === null || Math.abs(learningRate - 1) < LEAST_TREND) return '';
  const percent = Math.round(learningRate * 100);
  return learningRate < 1
    ? `getting quicker: done twice as often, it takes ${percent} % of the time`
    : `getting slower: done twice as often, it takes ${percent} % of the time`;
}

const sumOf = (key: string, name: string, lines: readonly LogEntryRow[], learns: boolean): LogSum => {
  const counted = lines.filter(({ counts }) => counts).sort((a, b) => b.atMs - a.atMs);
  const measured = counted.map(({ expectedMinutes, minutes }) => ({ expected: expectedMinutes, actual: minutes }));
  return {
    key,
    name,
    entries: lines.length,
    counted: counted.length,
    expectedMinutes: lines.reduce((sum, line) => sum + line.expectedMinutes, 0),
    actualMinutes: lines.reduce((sum, line) => sum + line.minutes, 0),
    factor: learns ? factorOf(measured) : null,
    learningRate: learns ? learningRateOf(measured.toReversed()) : null,
  };
};

/** Planned against actual by kind of work, most minutes first. */
export const logByWork = (entries: readonly LogEntryRow[]): LogSum[] =>
  [...grouped(entries, ({ work }) => work)]
    .map(([work, lines]) => sumOf(work, workName(work), lines, true))
    .sort((a, b) => b.actualMinutes - a.actualMinutes);

/** Planned against actual by project, the latest first. */
export const logByProject = (entries: readonly LogEntryRow[]): LogSum[] =>
  [...grouped(entries, ({ projectName }) => projectName)]
    .map(([name, lines]) => ({
      latest: Math.max(...lines.map(({ atMs }) => atMs)),
      sum: sumOf(name, name, lines, false),
    }))
    .sort((a, b) => b.latest - a.latest)
    .map(({ sum }) => sum);

/** How much more or less of each coating was used than expected, where amounts were noted. */
export function usedByCoating(
  entries: readonly LogEntryRow[],
): { kindId: string; entries: number; ratio: number; factor: number | null }[] {
  const amounts = entries
    .filter(({ counts }) => counts)
    .sort((a, b) => b.atMs - a.atMs)
    .flatMap((entry) => entry.amounts);
  return [...grouped(amounts, ({ kindId }) => kindId)].map(([kindId, lines]) => {
    const expected = lines.reduce((sum, line) => sum + line.expected, 0);
    const used = lines.reduce((sum, line) => sum + line.used, 0);
    return {
      kindId,
      entries: lines.length,
      ratio: expected > 0 ? used / expected : 1,
      factor: factorOf(lines.map((line) => ({ expected: line.expected, actual: line.used }))),
    };
  });
}
