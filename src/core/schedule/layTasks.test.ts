import { describe, expect, it } from 'vitest';
import { BENCH_NOW as NOW, benchTask as task } from '../fixtures/benchTask';
import { ordinaryWindows } from '../fixtures/randomBench';
import {
  benchOfTasks as bench,
  can,
  follows,
  improvedOf as improved,
  planOf as plan,
  startsOf,
} from '../fixtures/smallBench';
import { endOf, startOf } from './benchProblem';
import { verifySchedule } from './verifySchedule';

const HOUR = 60;
const DAY = 1440;

describe('laying tasks into the weeks', () => {
  it('puts work into the hours of work, and a wait between two coats into the night', () => {
    // A coat of 30 minutes on Monday evening; four hours later is the middle of the night: Tuesday evening.
    const starts = startsOf(bench([task('first', 30), task('second', 30, { after: [follows('first', 4 * HOUR)] })]));
    expect(starts).toEqual({ first: 18 * HOUR, second: DAY + 18 * HOUR });
  });

  it('fills a wait with other work', () => {
    const starts = startsOf(
      bench([
        task('prime', 20),
        task('coat', 20, { after: [follows('prime', HOUR)] }),
        task('sew', 40, { chunkMinutes: 15 }),
      ]),
    );
    expect(starts).toEqual({ prime: 18 * HOUR, sew: 18 * HOUR + 20, coat: 19 * HOUR + 20 });
  });

  it('sets up and cleans up once for several pieces from one can', () => {
    const problem = bench(['a', 'b', 'c'].map((id) => task(id, 20, { batch: can('teal') })));
    const schedule = plan(problem);
    expect(schedule.sessions).toHaveLength(1);
    expect(schedule.sessions[0]?.end).toBe(NOW + 18 * HOUR + 15 + 60 + 10);
    expect(schedule.score.setUpMinutes).toBe(25);
  });

  it('lets a piece wait for another evening’s session where that costs no lateness', () => {
    const problem = bench([
      task('early', 20, { batch: can('teal') }),
      task('wash', 20),
      task('late', 20, { batch: can('teal'), after: [follows('wash', 6 * HOUR)] }),
    ]);
    expect(improved(problem, 60).sessions).toHaveLength(1);
  });

  it('keeps a recoat window: within an hour, or after two days (the label of a spray)', () => {
    const recoat = (id: string) => ({
      taskId: id,
      allowed: [
        { fromMinutes: 3, toMinutes: HOUR, extraMinutes: 0 },
        { fromMinutes: 48 * HOUR, toMinutes: null, extraMinutes: 0 },
      ],
    });
    const soon = bench([task('one', 10), task('two', 10, { after: [recoat('one')] })]);
    expect(startsOf(soon)).toEqual({ one: 18 * HOUR, two: 18 * HOUR + 13 });
    // An evening in which only one coat has room: the second waits for two days, not for the next evening.
    const short = {
      id: 'own',
      windows: [0, 1, 2, 3].map((n) => ({ start: NOW + n * DAY, end: NOW + n * DAY + 12 })),
      caps: [],
    };
    const tight = bench([task('one', 10), task('two', 10, { after: [recoat('one')] })], { workers: [short] });
    expect(startsOf(tight)).toEqual({ one: 0, two: 3 * DAY });
  });

  it('takes so much longer where a late coat has to be scuffed first', () => {
    const twoWindows = [0, 2].map((n) => ({ start: NOW + n * DAY, end: NOW + n * DAY + 30 }));
    const late = task('two', 20, {
      after: [
        {
          taskId: 'one',
          allowed: [
            { fromMinutes: 120, toMinutes: 12 * HOUR, extraMinutes: 0 },
            { fromMinutes: 24 * HOUR, toMinutes: null, extraMinutes: 8 },
          ],
        },
      ],
    });
    const problem = bench([task('one', 20), late], { workers: [{ id: 'own', windows: twoWindows, caps: [] }] });
    const laid = plan(problem).tasks.find(({ taskId }) => taskId === 'two');
    expect(laid?.extraMinutes).toBe(8);
    expect(laid && endOf(laid) - startOf(laid)).toBe(28);
  });

  it('of what is done in parts too, however long its turn is away', () => {
    const windows = [0, 5].map((n) => ({ start: NOW + n * DAY, end: NOW + n * DAY + 30 }));
    const link = {
      taskId: 'coat',
      allowed: [
        { fromMinutes: 120, toMinutes: DAY, extraMinutes: 0 },
        { fromMinutes: DAY, toMinutes: null, extraMinutes: 1 },
      ],
    };
    const problem = bench([task('coat', 20), task('scuff', 1, { chunkMinutes: 15, after: [link] })], {
      workers: [{ id: 'own', windows, caps: [] }],
    });
    expect(plan(problem).unlaid).toEqual([]);
    expect(startsOf(problem).scuff).toBe(5 * DAY);
  });

  it('waits for room to dry after what is done in parts as well', () => {
    const hold = { areaM2: 0.8, minutes: 20 * HOUR };
    const problem = bench([task('a', 20, { hold }), task('b', 150, { hold, chunkMinutes: 30 })], {
      places: [{ id: 'table', areaM2: 1 }],
    });
    expect(verifySchedule(problem, plan(problem))).toEqual([]);
  });

  it('begins later what must be followed closely, so that it can be', () => {
    // An adhesion promoter is coated within the hour; only one coat fits into what is left of the first window.
    const windows = [
      { start: NOW, end: NOW + 25 },
      { start: NOW + DAY, end: NOW + DAY + 90 },
    ];
    const problem = bench([task('promoter', 20), task('coat', 20, { after: [follows('promoter', 15, HOUR)] })], {
      workers: [{ id: 'own', windows, caps: [] }],
    });
    expect(startsOf(problem)).toEqual({ promoter: DAY, coat: DAY + 35 });
  });

  it('works in the open only in hours that allow it', () => {
    const hours = new Map([['spray', [{ start: NOW + 3 * DAY + 18 * HOUR, end: NOW + 3 * DAY + 19 * HOUR }]]]);
    expect(startsOf(bench([task('spray', 20, { hoursKey: 'spray' })], { hours }))).toEqual({
      spray: 3 * DAY + 18 * HOUR,
    });
    const never = plan(
      bench([task('spray', 20, { hoursKey: 'spray' }), task('after', 5, { after: [follows('spray')] })]),
    );
    expect([...never.unlaid].sort()).toEqual(['after', 'spray']);
  });

  it('lets two large pieces dry one after the other where there is room for one', () => {
    const hold = { areaM2: 0.8, minutes: 20 * HOUR };
    const two = [task('a', 20, { hold }), task('b', 20, { hold })];
    const one = { places: [{ id: 'table', areaM2: 1 }] };
    expect(Math.max(...Object.values(startsOf(bench(two, one))))).toBeGreaterThanOrEqual(DAY + 14 * HOUR);
    expect(Math.max(...Object.values(startsOf(bench(two, { places: [{ id: 'floor', areaM2: 2 }] }))))).toBe(
      18 * HOUR + 20,
    );
    // What is larger than any place lies there alone.
    expect(
      verifySchedule(
        bench([task('a', 20, { hold: { areaM2: 5, minutes: 60 } })], one),
        plan(bench([task('a', 20, { hold: { areaM2: 5, minutes: 60 } })], one)),
      ),
    ).toEqual([]);
  });

  it('keeps to what a week may take, and lets a helper work beside', () => {
    const work = [task('a', 90), task('b', 90)];
    const caps = [{ start: NOW, end: NOW + 7 * DAY, minutes: 100 }];
    const own = { id: 'own', windows: ordinaryWindows(NOW, 56), caps };
    expect(Math.max(...Object.values(startsOf(bench(work, { workers: [own] }))))).toBe(7 * DAY + 18 * HOUR);
    const helper = { id: 'helper', windows: ordinaryWindows(NOW, 56), caps: [] };
    expect(startsOf(bench(work, { workers: [own, helper] }))).toEqual({ a: 18 * HOUR, b: 18 * HOUR });
  });

  it('shares among two what may be done in parts, when both have their hands free', () => {
    const helper = { id: 'helper', windows: [{ start: NOW + 18 * HOUR, end: NOW + 20 * HOUR }], caps: [] };
    const own = { id: 'own', windows: ordinaryWindows(NOW, 56), caps: [] };
    const problem = bench([task('wash', 91, { chunkMinutes: 15 })], { workers: [own, helper] });
    const schedule = plan(problem);
    expect(schedule.tasks[0]).toMatchObject({ workerId: 'own', helperIds: ['helper'] });
    expect(schedule.score.end - NOW).toBe(18 * HOUR + 46);
    expect(verifySchedule(problem, schedule)).toEqual([]);
    // A coat is laid by one pair of hands, however many there are.
    expect(plan(bench([task('coat', 90)], { workers: [own, helper] })).tasks[0]?.helperIds).toEqual([]);
    // Hands that are counted twice, or are not free, are found out.
    const [laid] = schedule.tasks;
    const twice = { ...schedule, tasks: laid ? [{ ...laid, helperIds: ['own'] }] : [] };
    expect(verifySchedule(problem, twice).map(({ kind }) => kind)).toContain('worker');
  });

  it('shares among three and more, and not more often than each has a part worth beginning', () => {
    const evening = { start: NOW + 18 * HOUR, end: NOW + 20 * HOUR };
    const hands = (id: string) => ({ id, windows: [evening], caps: [] });
    const of = (minutes: number, people: number) =>
      bench([task('wash', minutes, { chunkMinutes: 15 })], {
        workers: ['own', 'ann', 'bo', 'cy', 'di', 'ed'].slice(0, people).map(hands),
      });
    const shared = (minutes: number, people: number) => {
      const problem = of(minutes, people);
      const schedule = plan(problem);
      expect(verifySchedule(problem, schedule)).toEqual([]);
      return [1 + (schedule.tasks[0]?.helperIds.length ?? 0), schedule.score.end - evening.start];
    };
    expect(shared(100, 3)).toEqual([3, 34]);
    // A fifth and a sixth stand in each other's way.
    expect(shared(100, 6)).toEqual([4, 25]);
    // Thirty minutes are two parts of fifteen.
    expect(shared(30, 3)).toEqual([2, 15]);
    expect(shared(29, 3)).toEqual([1, 29]);
    // Whoever is only half there is not counted in.
    const late = { id: 'late', windows: [{ start: evening.start + 90, end: evening.end }], caps: [] };
    const problem = { ...of(100, 2), workers: [hands('own'), late] };
    expect(plan(problem).tasks[0]?.helperIds).toEqual([]);
  });

  it('sets in place after the work of the spot where that makes nothing late, and before it where it would', () => {
    const spot = (due: number | null) => {
      const tasks = [
        task('paint', 90),
        task('sand', 60),
        task('lamp in place', 20, { ratherAfter: ['paint', 'sand', 'not there'] }),
      ];
      const problem = bench(tasks, {
        deliverables: [
          { id: 'lamp', weight: 1, due, ends: [{ taskId: 'lamp in place', waitMinutes: 0 }] },
          { id: 'stool', weight: 2, due, ends: ['paint', 'sand'].map((taskId) => ({ taskId, waitMinutes: DAY })) },
        ],
      });
      const schedule = plan(problem);
      expect(verifySchedule(problem, schedule)).toEqual([]);
      const endOfWork = Math.max(...schedule.tasks.flatMap((one) => (one.taskId.includes('in') ? [] : [endOf(one)])));
      const lamp = schedule.tasks.find(({ taskId }) => taskId === 'lamp in place');
      return lamp ? startOf(lamp) - endOfWork : null;
    };
    // Two evenings of work: the lamp stands behind it, on the second one.
    expect(spot(null)).toBe(0);
    expect(spot(NOW + 5 * DAY)).toBe(0);
    // The reveal is on the second day: the lamp would be late then.
    expect(spot(NOW + DAY + 12 * HOUR)).toBeLessThan(0);
  });

  it('leaves what is done where it was, and counts drying from there', () => {
    const done = task('coat', 20, { fixed: { start: NOW - 60, end: NOW - 40 } });
    const starts = startsOf(bench([done, task('next', 20, { after: [follows('coat', 24 * HOUR)] })]));
    expect(starts).toEqual({ coat: -60, next: DAY + 18 * HOUR });
  });

  it('says that tasks in a circle are a fault', () => {
    const circle = bench([task('a', 5, { after: [follows('b')] }), task('b', 5, { after: [follows('a')] })]);
    expect(() => plan(circle)).toThrow(RangeError);
  });
});
