import { z } from 'zod';
import { wrongProblems } from '../../state/mishap';
import { defineEntity } from '../entity';
import { line, moment, number, oneOf, paragraph, wholeNumber, yesNo } from '../fields';

const coats = wholeNumber(0, 40, 'coats');

/** What a step really took: a line of the studio's log, from which its factors are learned. */
export const logEntry = defineEntity({
  table: 'logEntries',
  name: 'log_entry',
  noun: 'line of the log',
  owner: 'studio',
  travels: 'referred',
  most: { count: 6000, per: 'studio' },
  indexed: [['work']],
  fields: {
    atMs: moment,
    /** The step, the recipe and the project, as they were called. */
    what: line(1, 300),
    recipeName: line(0, 120),
    projectName: line(0, 120),
    /** What is learned by it: the technique, or the kind of step. */
    work: line(1, 80),
    coatingId: line(1, 60).nullable(),
    /** What it was done to: a material, or an old finish. */
    substrateId: line(1, 60).nullable(),
    /** Person-minutes: as the tables and the skill have it, and as it was. */
    expectedMinutes: number(0, 20_000, 'minutes'),
    minutes: number(0, 20_000, 'minutes'),
    people: wholeNumber(1, 12, 'people'),
    coats: z.strictObject({ expected: coats, given: coats }).nullable(),
    /** Of each supply: what was expected of it and what was used, in its unit. */
    amounts: z
      .array(
        z.strictObject({
          kindId: line(1, 60),
          expected: number(0, 1_000_000, 'an amount'),
          used: number(0, 1_000_000, 'an amount'),
        }),
      )
      .max(12, 'at most 12 supplies'),
    air: z
      .strictObject({
        airC: number(-60, 60, 'a temperature in °C').nullable(),
        humidityPercent: number(1, 100, 'a humidity in percent').nullable(),
      })
      .nullable(),
    wrong: oneOf(wrongProblems).nullable(),
    note: paragraph(0, 1000),
    /** Whether it counts in what is learned; a factor that was reset counts only what comes after. */
    counts: yesNo,
  },
});
