import { describe, expect, it } from 'vitest';
import { following, refusal, uuid } from '../fixtures/following';
import { logEntry } from '../fixtures/logEntry';
import { AS_OF, card, find, option, project, recipe, rows, slot, spot } from '../fixtures/projectRows';
import { MS_PER_HOUR } from '../kernel/units';
import type { LogEntryRow, ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { chosenLayer } from '../recipe/recipeBody';

const RECIPE = uuid(50);
const stand = find(uuid(10), 1200, { state: 'owned' });
const start: ProjectRows = rows({
  project: project({ id: uuid(1) }),
  spots: [spot(uuid(2), { tasks: [{ id: uuid(3), name: 'Clear it', minutes: 20, dryHours: 0, done: false }] })],
  slots: [slot(uuid(4), { spotId: uuid(2) })],
  finds: [stand],
  recipes: [{ ...recipe('Oak in chalk', stand, 'chalk', null), id: RECIPE }],
  options: [
    option(uuid(5), uuid(4), 'makeover', { recipeId: RECIPE, parts: [{ findId: stand.id, offerId: null, pieces: 1 }] }),
  ],
  fills: [{ id: uuid(6), version: 1, slotId: uuid(4), optionId: uuid(5), count: 1 }],
});
const nothing = { recipeId: null, spotId: null, optionId: null, stepId: '' };
const clean = { ...nothing, recipeId: RECIPE, stepId: 'clean' };
const step = { ...clean, id: uuid(60), what: 'Degrease and rinse', people: 1, by: 'Ann' };

function line(minutes: number, change: Partial<LogEntryRow> = {}): LogEntryRow {
  return logEntry({ id: uuid(70), atMs: AS_OF, recipeName: 'Oak in chalk', minutes, ...change });
}

describe('a step at the bench', () => {
  const begun = following(start, 'beginStep', { ...step, atMs: AS_OF });

  it('runs from the moment it is begun, is paused and goes on, and counts only when hands were at it', () => {
    const paused = following(begun, 'pauseStep', { runId: uuid(60), atMs: AS_OF + MS_PER_HOUR });
    const again = following(paused, 'beginStep', { ...step, id: uuid(61), atMs: AS_OF + 3 * MS_PER_HOUR });
    const done = following(again, 'finishStep', {
      ...step,
      id: uuid(62),
      atMs: AS_OF + 4 * MS_PER_HOUR,
      entry: line(120),
    });
    expect(done.stepRuns).toHaveLength(1);
    expect(done.stepRuns[0]).toMatchObject({
      state: 'done',
      doneMs: AS_OF + 4 * MS_PER_HOUR,
      logId: uuid(70),
      stretches: [
        { startMs: AS_OF, endMs: AS_OF + MS_PER_HOUR },
        { startMs: AS_OF + 3 * MS_PER_HOUR, endMs: AS_OF + 4 * MS_PER_HOUR },
      ],
    });
  });

  it('is finished once: a second device is told who did it, and there is one line of the log', () => {
    const done = following(begun, 'finishStep', { ...step, id: uuid(62), atMs: AS_OF + MS_PER_HOUR, entry: line(60) });
    const second = {
      ...step,
      id: uuid(63),
      by: 'Ben',
      atMs: AS_OF + MS_PER_HOUR + 500,
      entry: line(61, { id: uuid(71) }),
    };
    expect(refusal(done, 'finishStep', second).accepted).toContain('Ann finished it already, and is logged once');
    expect(refusal(done, 'beginStep', { ...step, id: uuid(64), atMs: AS_OF }).accepted).toContain('not done yet');
    expect(done.logEntries).toHaveLength(1);
  });

  it('is at one pair of hands: who begins it a second time is told so', () => {
    expect(refusal(begun, 'beginStep', { ...step, id: uuid(65), by: 'Ben', atMs: AS_OF }).accepted).toContain(
      'Ann began it already',
    );
    expect(refusal(start, 'pauseStep', { runId: uuid(60), atMs: AS_OF }).accepted).toBe('a step that was begun');
  });

  it('is told afterwards as well: it took 40 minutes with two people', () => {
    const told = following(start, 'finishStep', { ...step, people: 2, atMs: AS_OF, entry: line(40, { people: 2 }) });
    expect(told.stepRuns[0]?.stretches).toEqual([{ startMs: AS_OF - 20 * 60_000, endMs: AS_OF }]);
  });

  it('is not done after all: it waits to go on, and its line leaves the log', () => {
    const done = following(begun, 'finishStep', { ...step, id: uuid(62), atMs: AS_OF + MS_PER_HOUR, entry: line(60) });
    const reopened = following(done, 'reopenStep', { runId: uuid(60) });
    expect(reopened.stepRuns[0]).toMatchObject({ state: 'paused', doneMs: null, logId: null });
    expect(reopened.logEntries).toEqual([]);
    expect(refusal(reopened, 'reopenStep', { runId: uuid(60) }).accepted).toBe('a step that is done');
  });

  it('a clock that was put back makes no stretch that ends before it began', () => {
    const paused = following(begun, 'pauseStep', { runId: uuid(60), atMs: AS_OF - MS_PER_HOUR });
    expect(paused.stepRuns[0]?.stretches).toEqual([{ startMs: AS_OF, endMs: AS_OF }]);
  });

  it('of a spot is ticked off in the sketch too, and open again with it', () => {
    const task = { ...nothing, spotId: uuid(2), stepId: uuid(3), id: uuid(66), what: 'Clear it', people: 1, by: '' };
    const done = following(start, 'finishStep', { ...task, atMs: AS_OF, entry: null });
    expect(done.spots[0]?.tasks[0]?.done).toBe(true);
    expect(following(done, 'reopenStep', { runId: uuid(66) }).spots[0]?.tasks[0]?.done).toBe(false);
  });

  it('that is done is worked no more: the purse counts its minutes as done', () => {
    const before = computePlan(start, AS_OF).purse.hands;
    const done = following(start, 'finishStep', { ...step, atMs: AS_OF, entry: line(20) });
    const now = computePlan(done, AS_OF).purse.hands;
    expect(now.doneMinutes).toBe(20);
    expect(now.planned.likely).toBeLessThan(before.planned.likely);
    // What was worked stays worked when another way is chosen.
    const other = following(done, 'clearChoice', { slotId: uuid(4) });
    expect(computePlan(other, AS_OF).purse.hands.doneMinutes).toBe(20);
  });

  it('is not taken away under the hands: it is paused or finished first', () => {
    for (const [kind, id] of [
      ['removeOption', uuid(5)],
      ['removeSlot', uuid(4)],
      ['removeSpot', uuid(2)],
    ] as const) {
      expect(refusal(begun, kind, { id })).toMatchObject({ field: 'step', value: 'Degrease and rinse' });
      const paused = following(begun, 'pauseStep', { runId: uuid(60), atMs: AS_OF + MS_PER_HOUR });
      expect(following(paused, kind, { id }).stepRuns).toEqual([]);
    }
    // Another way may be chosen meanwhile: the step goes on.
    expect(following(begun, 'clearChoice', { slotId: uuid(4) }).stepRuns).toHaveLength(1);
  });

  it('goes with its recipe; what was logged stays', () => {
    const done = following(start, 'finishStep', { ...step, atMs: AS_OF, entry: line(20) });
    const gone = following(done, 'removeOption', { id: uuid(5) });
    expect(gone.stepRuns).toEqual([]);
    expect(gone.logEntries).toHaveLength(1);
  });
});

describe('what is told of a step', () => {
  const begun = following(start, 'beginStep', { ...step, atMs: AS_OF });
  const tell = (from: ProjectRows, values: object) => following(from, 'tellStep', { runId: uuid(60), values });

  it('while hands are at it goes into its line when it is done', () => {
    const told = tell(tell(begun, { wrong: 'sandedThrough' }), { people: 3, by: 'Ben' });
    expect(told.stepRuns[0]).toMatchObject({ wrong: 'sandedThrough', people: 3, by: 'Ben', state: 'running' });
    const done = following(told, 'finishStep', { ...step, id: uuid(62), atMs: AS_OF + MS_PER_HOUR, entry: line(60) });
    expect(done.logEntries[0]?.wrong).toBe('sandedThrough');
    expect(done.stepRuns[0]?.wrong).toBe('sandedThrough');
    // What its line says itself comes first.
    const other = line(60, { wrong: 'brokeOff' });
    const said = following(told, 'finishStep', { ...step, id: uuid(62), atMs: AS_OF + MS_PER_HOUR, entry: other });
    expect(said.logEntries[0]?.wrong).toBe('brokeOff');
  });

  it('afterwards is in its line at once, and taken back there too', () => {
    const done = following(begun, 'finishStep', { ...step, id: uuid(62), atMs: AS_OF + MS_PER_HOUR, entry: line(60) });
    const told = tell(done, { wrong: 'notClean', people: 2 });
    expect(told.logEntries[0]).toMatchObject({ wrong: 'notClean', people: 2, minutes: 60 });
    expect(tell(told, { wrong: null }).logEntries[0]?.wrong).toBeNull();
  });

  it('is refused of a step that nobody began, and where it is nonsense', () => {
    expect(refusal(start, 'tellStep', { runId: uuid(60), values: {} }).accepted).toBe('a step that was begun');
    expect(refusal(begun, 'tellStep', { runId: uuid(60), values: { people: 0 } }).accepted).toContain('people');
    expect(refusal(begun, 'tellStep', { runId: uuid(60), values: { wrong: 'aliens' } }).field).toContain('wrong');
  });
});

describe('a picture of a step', () => {
  const begun = following(start, 'beginStep', { ...step, atMs: AS_OF });
  const size = { widthPx: 9, heightPx: 9, sizeBytes: 9 };
  const photo = { id: uuid(95), version: 1, kind: 'step' as const, name: 'before.jpg', atMs: AS_OF, ...size };
  const shown = following(begun, 'addPhoto', {
    photo: { ...photo, shows: { stepRunId: uuid(60) } },
    inspiration: null,
  });

  it('shows a step that was begun, and none that nobody knows', () => {
    expect(shown.photos[0]?.shows).toEqual({ stepRunId: uuid(60) });
    const ghost = { photo: { ...photo, shows: { stepRunId: uuid(61) } }, inspiration: null };
    expect(refusal(begun, 'addPhoto', ghost).accepted).toBeTruthy();
  });

  it('stays with the project when its step goes', () => {
    const paused = following(shown, 'pauseStep', { runId: uuid(60), atMs: AS_OF });
    const gone = following(paused, 'removeOption', { id: uuid(5) });
    expect(gone.stepRuns).toEqual([]);
    expect(gone.photos.map(({ id, shows }) => [id, shows])).toEqual([[uuid(95), null]]);
  });

  it('that waited in a queue since before steps had pictures is taken as it is', () => {
    expect(following(begun, 'addPhoto', { photo, inspiration: null }).photos[0]?.shows).toBeNull();
  });
});

describe('the bench plan that is kept', () => {
  const placed = [{ ...clean, atMs: AS_OF, untilMs: AS_OF + MS_PER_HOUR, pinned: false }];
  const keep = (id: number, madeAtMs: number) => ({ id: uuid(id), madeAtMs, why: 'kept', placed });

  it('is one: a later one takes the place of the one before', () => {
    const kept = following(following(start, 'keepBench', keep(80, AS_OF)), 'keepBench', keep(81, AS_OF + 1));
    expect(kept.benchPlans.map(({ id, madeAtMs }) => [id, madeAtMs])).toEqual([[uuid(80), AS_OF + 1]]);
  });

  it('goes on without what was removed, and leaves out what is not there', () => {
    const kept = following(start, 'keepBench', keep(80, AS_OF));
    expect(following(kept, 'removeOption', { id: uuid(5) }).benchPlans[0]?.placed).toEqual([]);
    const stale = { ...keep(80, AS_OF), placed: [{ ...placed[0], recipeId: uuid(999) }] };
    expect(following(start, 'keepBench', stale).benchPlans[0]?.placed).toEqual([]);
  });
});

describe('the weather and the log', () => {
  const hours = Array.from({ length: 24 }, () => ({ airC: 20, humidityPercent: 50, windMPerS: 2, rainMm: 0 }));
  const day = { id: uuid(90), version: 1, date: '2026-06-02', hours, source: 'typed' as const, origin: 'the radio' };

  it('a day is said once, said anew, and forgotten', () => {
    const said = following(start, 'setWeather', { days: [day] });
    const anew = following(said, 'setWeather', { days: [{ ...day, id: uuid(91), origin: 'the harbor' }] });
    expect(anew.weatherDays.map(({ id, origin }) => [id, origin])).toEqual([[uuid(90), 'the harbor']]);
    expect(following(anew, 'setWeather', { days: [], forget: ['2026-06-02'] }).weatherDays).toEqual([]);
    expect(refusal(start, 'setWeather', { days: [day, { ...day, id: uuid(92) }] }).accepted).toContain('each');
  });

  it('a factor is reset with one act: the lines stay and count no more', () => {
    const logged = following(start, 'finishStep', { ...step, atMs: AS_OF, entry: line(20) });
    const reset = following(logged, 'forgetFactor', { work: 'labor.cleanMinutesPerM2' });
    expect(reset.logEntries.map(({ counts }) => counts)).toEqual([false]);
    expect(refusal(reset, 'forgetFactor', { work: 'labor.cleanMinutesPerM2' }).accepted).toContain('taught');
  });

  it('three lines change every estimate of that work, with their source; a figure of one’s own comes first', () => {
    const lines = [1, 2, 3].map((n) => line(20, { id: uuid(100 + n), atMs: AS_OF + n }));
    const learned = { ...start, logEntries: lines };
    const factor = Math.exp((3 * Math.log(2)) / 7);
    const figure = (of: ProjectRows) => computePlan(of, AS_OF).assumptions.get('labor.cleanMinutesPerM2');
    expect(figure(learned).value / figure(start).value).toBeCloseTo(factor, 10);
    expect(figure(learned).source.kind).toBe('your log');
    const own = { id: uuid(110), version: 1, key: 'labor.cleanMinutesPerM2', scope: 'project', value: 9, note: '' };
    expect(figure({ ...learned, overrides: [own] })).toMatchObject({ value: 9, learned: null });
  });

  it('coats that were given beyond what hides are planned from three lines on, with their reason', () => {
    const teal = card(uuid(120), 'Teal', '#2f5d62');
    const body = { ...start.recipes[0]?.body, layers: [chosenLayer('base', 'chalk', { colorCardId: teal.id })] };
    const colored = {
      ...start,
      colorCards: [teal],
      recipes: start.recipes.map((row) => ({ ...row, body: body as typeof row.body })),
    };
    const coatsOf = (of: ProjectRows) => {
      const plan = computePlan(of, AS_OF);
      const stacks = [...(plan.model.recipe(RECIPE)?.stacks.values() ?? [])].flat();
      return stacks.find(({ layerId }) => layerId === 'base')?.coats;
    };
    const before = coatsOf(colored);
    expect(before?.reason).toBe('untilHidden');
    const lines = [1, 2, 3].map((n) =>
      line(20, { id: uuid(130 + n), coatingId: 'chalk', coats: { expected: 1, given: n === 1 ? 1 : 2 } }),
    );
    const after = coatsOf({ ...colored, logEntries: lines });
    expect(after).toMatchObject({ reason: 'yourLog', coats: Math.round((before?.coats ?? 0) * (5 / 3)) });
  });

  it('what went wrong in one project warns of the same on the same surface in another', () => {
    const spoiled = line(20, {
      id: uuid(140),
      coatingId: 'chalk',
      substrateId: stand.materialId,
      wrong: 'peeled',
      projectName: 'Another',
    });
    const findings = computePlan({ ...start, logEntries: [spoiled] }, AS_OF).model.recipe(RECIPE)?.findings ?? [];
    expect(findings.filter(({ code }) => code === 'lesson.learned')).toHaveLength(1);
    const own = computePlan(start, AS_OF).model.recipe(RECIPE)?.findings ?? [];
    expect(own.filter(({ code }) => code === 'lesson.learned')).toEqual([]);
  });
});
