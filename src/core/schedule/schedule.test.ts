import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BENCH_NOW as NOW, benchTask as task } from '../fixtures/benchTask';
import { ordinaryWindows, randomBench } from '../fixtures/randomBench';
import { type BenchProblem, type BenchTask, endOf, isBetter, startOf } from './benchProblem';
import { decidingChain } from './decidingChain';
import { firstSchedule, improveSchedule } from './improveSchedule';
import { layTasks } from './layTasks';
import { lowerBound, readyAlone } from './lowerBound';
import { keptOf, moveTasks } from './moveTasks';
import { replan } from './replan';
import { taskGraph } from './taskGraph';
import { verifySchedule } from './verifySchedule';
import { whatHelps } from './whatHelps';
import { whyNotThere } from './whyNotThere';

const HOUR = 60;
const DAY = 1440;

const follows = (taskId: string, fromMinutes = 0, toMinutes: number | null = null, extraMinutes = 0) => ({
  taskId,
  allowed: [{ fromMinutes, toMinutes, extraMinutes }],
});

const can = (key: string) => ({ key, setUpMinutes: 15, cleanUpMinutes: 10 });

function bench(tasks: BenchTask[], change: Partial<BenchProblem> = {}): BenchProblem {
  return {
    now: NOW,
    tasks,
    workers: [{ id: 'own', windows: ordinaryWindows(NOW, 56), caps: [] }],
    places: [],
    hours: new Map(),
    deliverables: [{ id: 'all', weight: 1, due: null, ends: tasks.map(({ id }) => ({ taskId: id, waitMinutes: 0 })) }],
    ...change,
  };
}

const plan = (problem: BenchProblem) => firstSchedule(problem).schedule;
const improved = (problem: BenchProblem, tries: number, seed = 1) => {
  const run = improveSchedule(problem, firstSchedule(problem), { seed, tries });
  let step = run.next();
  while (!step.done) step = run.next();
  return step.value.schedule;
};
const startsOf = (problem: BenchProblem) =>
  Object.fromEntries(plan(problem).tasks.map((laid) => [laid.taskId, startOf(laid) - NOW]));

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

/** A bench whose waits close after a day or so: what is begun later takes a little longer. */
function closing(problem: BenchProblem, seed: number): BenchProblem {
  if (seed % 2 === 0) return problem;
  const tasks = problem.tasks.map((one, n) => ({
    ...one,
    // Small parts, so that two may share them.
    chunkMinutes: one.chunkMinutes === null ? null : 3,
    after: one.after.map(({ taskId, allowed }) => {
      const fromMinutes = allowed[0]?.fromMinutes ?? 0;
      const toMinutes = fromMinutes + 300 + ((seed + n) % 5) * 300;
      return {
        taskId,
        allowed: [
          { fromMinutes, toMinutes, extraMinutes: 0 },
          { fromMinutes: toMinutes + 60, toMinutes: null, extraMinutes: 2 },
        ],
      };
    }),
  }));
  return { ...problem, tasks };
}

describe('the check of a schedule', () => {
  const problem = randomBench({ seed: 3, pieces: 6 });
  const good = plan(problem);
  const faultsAfter = (change: (tasks: (typeof good.tasks)[number][]) => void, of = good) => {
    const tasks = structuredClone(of.tasks) as (typeof good.tasks)[number][];
    change(tasks);
    return verifySchedule(problem, { ...of, tasks }).map(({ kind }) => kind);
  };

  it('passes what was laid', () => {
    expect(verifySchedule(problem, good)).toEqual([]);
  });

  it('finds a task that is missing, twice, too early, too short, or outside of the hours', () => {
    expect(faultsAfter((tasks) => tasks.splice(0, 1))).toContain('missing');
    expect(faultsAfter((tasks) => tasks.push(...tasks.slice(0, 1)))).toContain('twice');
    const shift = (by: number) => (tasks: (typeof good.tasks)[number][]) => {
      const one = tasks.find(({ parts }) => parts.length === 1 && parts[0] && parts[0].end > parts[0].start);
      if (one) Object.assign(one, { parts: one.parts.map(({ start, end }) => ({ start: start + by, end: end + by })) });
    };
    expect(faultsAfter(shift(-30 * DAY))).toContain('tooEarly');
    expect(faultsAfter(shift(4 * HOUR))).toContain('window');
    expect(
      faultsAfter((tasks) => {
        const one = tasks.find(({ parts }) => parts[0] && parts[0].end - parts[0].start > 2);
        if (one) Object.assign(one, { parts: one.parts.map(({ start, end }) => ({ start, end: end - 1 })) });
      }),
    ).toContain('wrongLength');
  });

  it('finds what overlaps, what is not dry, a torn session, no room and a wrong score', () => {
    const two = bench([task('a', 30), task('b', 30)]);
    const laid = plan(two);
    const both = laid.tasks.map((one) => ({ ...one, parts: [{ start: NOW + 18 * HOUR, end: NOW + 18 * HOUR + 30 }] }));
    expect(verifySchedule(two, { ...laid, tasks: both }).map(({ kind }) => kind)).toContain('overlap');
    const wet = bench([task('a', 30), task('b', 30, { after: [follows('a', 2 * HOUR)] })]);
    const soon = {
      ...laid,
      tasks: laid.tasks.map((one, n) => ({
        ...one,
        parts: [{ start: NOW + (18 + n) * HOUR, end: NOW + (18 + n) * HOUR + 30 }],
      })),
    };
    expect(verifySchedule(wet, soon).map(({ kind }) => kind)).toContain('follows');
    const session = bench([task('a', 20, { batch: can('k') }), task('b', 20, { batch: can('k') })]);
    const one = plan(session);
    expect(verifySchedule(session, { ...one, sessions: [] }).map(({ kind }) => kind)).toContain('session');
    const hold = { areaM2: 0.8, minutes: 600 };
    const full = bench([task('a', 30, { hold }), task('b', 30, { hold })], { places: [{ id: 'table', areaM2: 1 }] });
    const crowded = { ...laid, tasks: laid.tasks.map((two_) => ({ ...two_, placeId: 'table' })) };
    expect(verifySchedule(full, crowded).map(({ kind }) => kind)).toContain('noRoom');
    expect(
      verifySchedule(two, { ...laid, score: { ...laid.score, end: laid.score.end - 1 } }).map(({ kind }) => kind),
    ).toEqual(['score']);
  });

  it('is no later and takes no more setting up for what is rather set in place later', () => {
    let moved = 0;
    for (let seed = 1; seed <= 30; seed += 1) {
      const usual = randomBench({ seed, pieces: 2 + (seed % 6), helpers: seed % 2 });
      const last = (piece: number) => `${piece} refit`;
      const rather: BenchProblem = {
        ...usual,
        tasks: usual.tasks.map((one) =>
          one.id.endsWith('place') ? { ...one, ratherAfter: [0, 1, 2].map(last) } : one,
        ),
      };
      const graph = taskGraph(rather);
      const rule = { urgency: graph.tailMinutes, heldUntil: new Map<number, number>(), patienceMinutes: 240 };
      const soon = layTasks(usual, taskGraph(usual), rule);
      const late = layTasks(rather, graph, rule);
      expect(verifySchedule(rather, late)).toEqual([]);
      expect(late.score).toEqual(soon.score);
      const before = new Map(soon.tasks.map((one) => [one.taskId, startOf(one)]));
      moved += late.tasks.filter((one) => startOf(one) > (before.get(one.taskId) ?? 0)).length;
      // What is held where it was kept stays there.
      const held = new Map(late.tasks.map((one) => [graph.numberOf.get(one.taskId) ?? -1, startOf(one)]));
      const again = layTasks(rather, graph, { ...rule, heldUntil: held });
      expect(again.tasks.every((one) => startOf(one) >= (held.get(graph.numberOf.get(one.taskId) ?? -1) ?? 0))).toBe(
        true,
      );
    }
    expect(moved).toBeGreaterThan(10);
  });

  it('passes every plan of any bench: first, improved and planned anew', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10_000 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 0, max: 3 }),
        (seed, pieces, helpers) => {
          const any = closing(randomBench({ seed, pieces, helpers, coats: 1 + (seed % 3) }), seed);
          const first = plan(any);
          expect(verifySchedule(any, first)).toEqual([]);
          // Only what waits for an hour outdoors that never comes finds no time.
          const never = first.unlaid.filter((id) => !any.tasks.some(({ hoursKey }) => hoursKey !== null) && id !== '');
          expect(never).toEqual([]);
          const better = improved(any, 20, seed);
          expect(verifySchedule(any, better)).toEqual([]);
          expect(isBetter(first.score, better.score)).toBe(false);
          const later = { ...any, now: any.now + 3 * DAY };
          expect(verifySchedule(later, replan(later, keptOf(better)).schedule)).toEqual([]);
        },
      ),
      { numRuns: 25, seed: 5 },
    );
  });

  it('and the same problem, seed and number of tries give the same plan', () => {
    expect(improved(problem, 40, 9)).toEqual(improved(problem, 40, 9));
  });
});

describe('against figures from outside', () => {
  // Hillier & Lieberman, Introduction to Operations Research: building a house, expected weeks of PERT (from memory).
  const house: [string, number, string[]][] = [
    ['A', 2, []],
    ['B', 4, ['A']],
    ['C', 10, ['B']],
    ['D', 6, ['C']],
    ['E', 4, ['C']],
    ['F', 5, ['E']],
    ['G', 7, ['D']],
    ['H', 9, ['E', 'G']],
    ['I', 7, ['C']],
    ['J', 8, ['F', 'I']],
    ['K', 4, ['J']],
    ['L', 5, ['J']],
    ['M', 2, ['H']],
    ['N', 6, ['K', 'L']],
  ];
  const hands = Array.from({ length: 4 }, (_, n) => ({
    id: `crew ${n}`,
    windows: [{ start: NOW, end: NOW + 100 }],
    caps: [],
  }));
  const built = bench(
    house.map(([id, weeks, before]) => task(id, weeks, { after: before.map((other) => follows(other)) })),
    { workers: hands },
  );

  it('the house is built in 44 weeks, by its critical path A B C E F J L N', () => {
    const schedule = plan(built);
    expect(schedule.score.end - NOW).toBe(44);
    expect(readyAlone(built).get('all')).toBe(NOW + 44);
    expect(
      decidingChain(built, schedule)
        ?.links.map(({ taskId }) => taskId)
        .join(''),
    ).toBe('ABCEFJLN');
  });

  it('with one crew it takes the sum of all: 79 weeks', () => {
    expect(plan({ ...built, workers: hands.slice(0, 1) }).score.end - NOW).toBe(79);
  });

  it('small benches are as good as the best of all orders', () => {
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const small = randomBench({ seed, pieces: 1, coats: 2 });
      const tasks = small.tasks.slice(0, 6);
      const two = bench(
        [...tasks, ...tasks.slice(1, 3).map((one) => ({ ...one, id: `${one.id} b`, rowId: 'b', after: [] }))],
        { hours: small.hours, places: small.places },
      );
      const graph = taskGraph(two);
      const orders = permutations(two.tasks.map((_, n) => n));
      let best = plan(two).score;
      for (const order of orders) {
        const urgency = order.map((place) => -place);
        const { score } = layTasks(two, graph, { urgency, heldUntil: new Map(), patienceMinutes: 2880 });
        if (isBetter(score, best)) best = score;
      }
      const { score } = improved(two, 300, seed);
      expect(isBetter(best, score)).toBe(false);
    }
  });

  it('no plan beats the bound, and another window or a shorter wait never moves the bound back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const any = randomBench({ seed, pieces: 4 });
        const bound = lowerBound(any);
        const { score } = improved(any, 10, seed);
        expect(score.end).toBeGreaterThanOrEqual(bound.end);
        expect(score.lateMinutes).toBeGreaterThanOrEqual(bound.lateMinutes);
        expect(score.setUpMinutes).toBeGreaterThanOrEqual(bound.setUpMinutes);
        const morning = { start: NOW + 8 * HOUR, end: NOW + 10 * HOUR };
        const more = { ...any, workers: any.workers.map((one) => ({ ...one, windows: [morning, ...one.windows] })) };
        expect(lowerBound(more).end).toBeLessThanOrEqual(bound.end);
        const quicker = {
          ...any,
          tasks: any.tasks.map((one) => ({
            ...one,
            after: one.after.map((link) => ({
              ...link,
              allowed: link.allowed.map((allowed) => ({
                ...allowed,
                fromMinutes: Math.floor(allowed.fromMinutes / 2),
              })),
            })),
          })),
        };
        expect(lowerBound(quicker).end).toBeLessThanOrEqual(bound.end);
      }),
      { numRuns: 30, seed: 8 },
    );
  });
});

/** All orders of a few numbers. */
function permutations(numbers: readonly number[]): number[][] {
  if (numbers.length > 8) throw new RangeError('too many to try');
  if (numbers.length <= 1) return [[...numbers]];
  return numbers.flatMap((one, n) =>
    permutations([...numbers.slice(0, n), ...numbers.slice(n + 1)]).map((rest) => [one, ...rest]),
  );
}

describe('planning anew', () => {
  const problem = randomBench({ seed: 12, pieces: 5 });
  const kept = improved(problem, 60);

  it('without a change moves nothing', () => {
    const { schedule, moved } = replan(problem, keptOf(kept));
    expect(moved).toBe(0);
    expect(schedule.score).toEqual(kept.score);
  });

  it('after a step that ran late moves what it must, and no more', () => {
    // The first coat of one piece takes five minutes longer, on an evening that has room.
    const first = kept.tasks.find(({ taskId }) => taskId === '3 coat 1');
    if (!first) throw new Error('it is not laid');
    const late = { start: startOf(first), end: endOf(first) + 5 };
    const changed = {
      ...problem,
      tasks: problem.tasks.map((one) => (one.id === first.taskId ? { ...one, fixed: late, batch: null } : one)),
    };
    const { schedule, moved } = replan(changed, keptOf(kept));
    expect(verifySchedule(changed, schedule)).toEqual([]);
    expect(moved).toBeLessThan(6);
    const was = new Map(kept.tasks.map((one) => [one.taskId, startOf(one)]));
    // Nothing is done sooner than it was planned.
    for (const one of schedule.tasks)
      if (one.taskId !== first.taskId) expect(startOf(one)).toBeGreaterThanOrEqual(was.get(one.taskId) ?? 0);
    expect(schedule.tasks.find(({ taskId }) => taskId === first.taskId)?.parts).toEqual([late]);
  });

  it('puts a session where it was dragged, takes what follows along, and says where it cannot lie', () => {
    const simple = bench([
      task('prime', 20),
      task('coat', 20, { after: [follows('prime', 4 * HOUR)] }),
      task('sew', 20),
    ]);
    const from = { schedule: plan(simple), pinned: new Set<string>() };
    const graph = taskGraph(simple);
    const thursday = { start: NOW + 3 * DAY + 18 * HOUR, end: NOW + 3 * DAY + 20 * HOUR };
    const moved = moveTasks(simple, from, ['prime'], thursday, graph);
    expect(moved).toMatchObject({ isThere: true, start: thursday.start, others: 1 });
    expect(moved.schedule.tasks.filter(({ taskId }) => taskId === 'coat').map(startOf)).toEqual([
      NOW + 4 * DAY + 18 * HOUR,
    ]);
    // The coat cannot lie on the evening of its primer: it lies on the next one that is dry.
    const monday = { start: NOW + 18 * HOUR, end: NOW + 20 * HOUR };
    expect(moveTasks(simple, from, ['coat'], monday, graph)).toMatchObject({
      isThere: false,
      start: NOW + DAY + 18 * HOUR,
    });
  });
});

describe('why something cannot be done on an evening', () => {
  const evening = { start: NOW + DAY + 18 * HOUR, end: NOW + DAY + 20 * HOUR };
  const whyNot = (problem: BenchProblem, ids: string[]) => whyNotThere(problem, plan(problem), ids, evening);

  it('what it follows is not dry', () => {
    const wet = bench([task('prime', 20), task('coat', 20, { after: [follows('prime', 48 * HOUR)] })]);
    expect(whyNot(wet, ['coat'])).toEqual({ kind: 'after', taskId: 'prime', free: NOW + 18 * HOUR + 20 + 48 * HOUR });
  });

  it('the open does not allow it, the evening is too short, or something else is done then', () => {
    const noon = new Map([['spray', [{ start: NOW + DAY + 11 * HOUR, end: NOW + DAY + 14 * HOUR }]]]);
    expect(whyNot(bench([task('spray', 20, { hoursKey: 'spray' })], { hours: noon }), ['spray'])).toEqual({
      kind: 'weather',
    });
    expect(whyNot(bench([task('long', 110, { batch: can('teal') })]), ['long'])).toEqual({
      kind: 'tooShort',
      minutes: 135,
    });
    expect(whyNot(bench([task('a', 20)]), ['a'])).toEqual({ kind: 'taken' });
  });
});

describe('what would help', () => {
  it('names another evening where hours are short, and another table where room is', () => {
    const due = NOW + 4 * DAY;
    const hold = { areaM2: 0.8, minutes: 40 * HOUR };
    const pieces = ['a', 'b', 'c'].map((id) => task(id, 20, { hold }));
    const crowded = bench(pieces, {
      places: [{ id: 'table', areaM2: 1 }],
      deliverables: pieces.map(({ id }) => ({ id, weight: 1, due, ends: [{ taskId: id, waitMinutes: 0 }] })),
    });
    expect(whatHelps(crowded, '2026-02-01', () => ({ start: 0, end: 0 }))[0]?.kind).toBe('place');
    const onlyWeekends = { id: 'own', windows: ordinaryWindows(NOW, 56).filter((_, n) => n % 7 >= 5), caps: [] };
    const short = bench(
      pieces.map((one) => ({ ...one, hold: null })),
      {
        workers: [onlyWeekends],
        deliverables: pieces.map(({ id }) => ({ id, weight: 1, due, ends: [{ taskId: id, waitMinutes: 0 }] })),
      },
    );
    const monday = { start: NOW + 18 * HOUR, end: NOW + 20 * HOUR };
    expect(whatHelps(short, '2026-02-01', () => monday)[0]).toMatchObject({ kind: 'evening' });
  });
});
