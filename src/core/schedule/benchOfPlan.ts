import { importanceWeight } from '../balance/lookValue';
import { dateAfter } from '../calendar/localDates';
import { climateRegions } from '../calendar/weather/climateRegions.data';
import type { Forecast } from '../calendar/weather/weatherHour';
import { dayBegins, localDate } from '../calendar/zonedTime';
import { fromMicro } from '../kernel/micro';
import type { StepRunRow } from '../model/rows';
import { daysUntilHere } from '../plan/comesOn';
import type { Plan } from '../plan/computePlan';
import type { PlannedFill } from '../plan/model/planModel';
import { tripsPulled } from '../plan/model/poolCost';
import type { RecipePlan } from '../recipe/computeRecipe';
import { curingOf } from '../recipe/curing';
import type { Step } from '../state/step';
import { type BenchJob, type BenchRow, stepSubject, taskIdOf } from './benchJobs';
import type { BenchProblem, BenchTask, Deliverable, Follows, Minute, Worker } from './benchProblem';
import { forecastOf } from './forecastOf';
import { goodHours } from './goodHours';
import { minuteOf, workerWindows } from './workerWindows';

const MINUTE_MS = 60_000;
/** How far a plan looks ahead at the least, and beyond the reveal. */
const LEAST_DAYS = 56;
const DAYS_AFTER_REVEAL = 42;
const MOST_DAYS = 370;
/** What may be done in parts is begun for no less than this, minutes; what is too long for any window in halves of an hour. */
const LEAST_CHUNK_MINUTES = 5;
const CHUNK_OF_TOO_LONG = 30;
/** When what is sent is there, minutes of the day it comes: late in the afternoon (a modelling choice). */
const DELIVERY_MINUTE = 17 * 60;
/** Whose hours the project's own are. */
export const OWN_HANDS = 'own';

/** A bench compiled from a plan: the problem, and what its parts are called. */
export interface Bench {
  problem: BenchProblem;
  jobs: ReadonlyMap<string, BenchJob>;
  rows: readonly BenchRow[];
  forecast: Forecast;
  /** The first and the last local date that it looks at. */
  from: string;
  days: number;
}

/**
 * Everything that is chosen and not done, as tasks to be laid: the steps of recipes, tasks of spots, trips, deliveries,
 * setting in place; in the hours of the workshop, with what was done already where it was done.
 * @param plan what is chosen; dates are of the project's time zone
 * @param nowMs the present, epoch milliseconds
 */
export function benchOfPlan(plan: Plan, nowMs: number = plan.asOfMs): Bench {
  return new BenchMaker(plan, nowMs).make();
}

const openAfter = (taskId: string, minutes: number): Follows => ({
  taskId,
  allowed: [{ fromMinutes: Math.ceil(minutes), toMinutes: null, extraMinutes: 0 }],
});

class BenchMaker {
  private readonly plan: Plan;
  private readonly nowMs: number;
  private readonly now: Minute;
  private readonly timeZone: string;
  private readonly today: string;
  private readonly days: number;
  private readonly overhead: number;
  private readonly longestMinutes: number;
  private readonly workers: Worker[];
  private readonly jobs = new Map<string, BenchJob>();
  private readonly rows = new Map<string, BenchRow>();
  private readonly hours = new Map<string, BenchProblem['hours'] extends ReadonlyMap<string, infer S> ? S : never>();
  private readonly forecast: Forecast;
  private readonly runs: ReadonlyMap<string, StepRunRow>;
  /** The last tasks of each recipe, and what is fetched before each can begin. */
  private readonly lastOf = new Map<string, Follows[]>();

  constructor(plan: Plan, nowMs: number) {
    this.plan = plan;
    this.nowMs = nowMs;
    const { project, weatherDays, stepRuns } = plan.rows;
    this.now = Math.ceil(nowMs / MINUTE_MS);
    this.timeZone = project.timeZone;
    this.today = localDate(nowMs, this.timeZone);
    const untilReveal = project.revealDate
      ? Math.ceil((dayBegins(project.revealDate, this.timeZone) - nowMs) / 86_400_000)
      : 0;
    this.days = Math.min(MOST_DAYS, Math.max(LEAST_DAYS, untilReveal + DAYS_AFTER_REVEAL));
    this.overhead = 1 + plan.assumptions.number('labor.overheadPercent') / 100;
    const { workshop, brief } = project;
    const stretch = { from: this.today, days: this.days, now: this.now, timeZone: this.timeZone };
    const caps = brief.weeks.map(({ monday, minutes }) => ({
      start: minuteOf(monday, 0, this.timeZone),
      end: minuteOf(dateAfter(monday, 7), 0, this.timeZone),
      minutes,
    }));
    this.workers = [
      { id: OWN_HANDS, windows: workerWindows(workshop, stretch), caps },
      ...workshop.helpers.map((helper) => ({ id: helper.id, windows: workerWindows(helper, stretch), caps: [] })),
    ];
    this.longestMinutes = Math.max(
      0,
      ...this.workers.flatMap(({ windows }) => windows.map(({ start, end }) => end - start)),
    );
    this.forecast = forecastOf(project, weatherDays);
    this.runs = new Map(stepRuns.map((run) => [taskIdOf(run), run]));
  }

  make(): Bench {
    const { plan } = this;
    for (const trip of plan.rows.trips) if (!trip.done) this.addTrip(trip.id);
    const recipes = new Map(plan.chosen.flatMap(({ model }) => (model.recipe ? [[model.recipe.recipeId, model]] : [])));
    for (const { recipe, isDone } of recipes.values()) if (recipe && !isDone) this.addRecipe(recipe);
    this.shareSetUps();
    for (const spot of plan.rows.spots) this.addSpot(spot.id);
    const deliverables = [
      ...plan.chosen.map((fill) => this.addFill(fill)),
      ...plan.rows.spots.flatMap((spot) => this.spotDeliverable(spot.id)),
    ];
    const due = plan.rows.project.revealDate
      ? Math.floor(dayBegins(plan.rows.project.revealDate, this.timeZone) / MINUTE_MS)
      : null;
    return {
      problem: {
        now: this.now,
        tasks: [...this.jobs.values()].map(({ task }) => task),
        workers: this.workers,
        places: plan.rows.project.workshop.dryingPlaces,
        hours: this.hours,
        deliverables: deliverables.filter(({ ends }) => ends.length > 0).map((one) => ({ ...one, due })),
      },
      jobs: this.jobs,
      rows: [...this.rows.values()],
      forecast: this.forecast,
      from: this.today,
      days: this.days,
    };
  }

  private row(row: BenchRow): string {
    if (!this.rows.has(row.id)) this.rows.set(row.id, row);
    return row.id;
  }

  private recipeRow(recipeId: string): string {
    const name = this.plan.rows.recipes.find(({ id }) => id === recipeId)?.name ?? '';
    return this.row({ id: `recipe ${recipeId}`, name, kind: 'recipe', ofId: recipeId });
  }

  private add(
    job: Omit<BenchJob, 'task' | 'isTooLong'> & { task: Omit<BenchTask, 'fixed' | 'earliest'> & Partial<BenchTask> },
  ): void {
    const { task } = job;
    const withBatch = task.runMinutes + (task.batch?.setUpMinutes ?? 0) + (task.batch?.cleanUpMinutes ?? 0);
    const isTooLong = task.chunkMinutes === null && task.runMinutes > 0 && withBatch > this.longestMinutes;
    const shape = isTooLong ? { runMinutes: withBatch, batch: null, chunkMinutes: CHUNK_OF_TOO_LONG } : {};
    const whole: BenchTask = { earliest: this.now, fixed: null, ...task, ...shape };
    this.jobs.set(task.id, { ...job, isTooLong, task: this.withRun(whole) });
  }

  /** A task with what was done of it: what is done lies where it was, what is at hand goes on now. */
  private withRun(task: BenchTask): BenchTask {
    const run = this.runs.get(task.id);
    const first = run?.stretches[0];
    if (!run || !first) return task;
    const minute = (ms: number) => Math.round(ms / MINUTE_MS);
    const start = minute(first.startMs);
    if (run.state === 'done') {
      const end = Math.max(start, minute(run.doneMs ?? first.startMs));
      return { ...task, fixed: { start, end }, batch: null, hoursKey: null };
    }
    const worked = run.stretches.reduce(
      (sum, stretch) => sum + Math.max(0, minute(stretch.endMs ?? this.nowMs) - minute(stretch.startMs)),
      0,
    );
    const left = Math.max(1, task.runMinutes - worked);
    if (run.state === 'running')
      return { ...task, fixed: { start, end: this.now + left }, batch: null, hoursKey: null };
    return { ...task, runMinutes: left };
  }

  private minutes(handsOn: number): number {
    return Math.ceil(handsOn * this.overhead - 1e-9);
  }

  private addTrip(tripId: string): void {
    const pool = this.plan.model.pool({ poolId: `trip ${tripId}`, kind: 'trip', key: tripId });
    const trip = this.plan.rows.trips.find(({ id }) => id === tripId);
    if (pool?.kind !== 'trip' || !trip) return;
    const runMinutes = Math.max(1, Math.ceil(fromMicro(pool.handsMicro)));
    const start = minuteOf(trip.onDate, trip.startMinute, this.timeZone);
    const isPast = start + runMinutes <= this.now;
    this.add({
      title: trip.name,
      hint: '',
      subject: null,
      step: null,
      color: null,
      dries: null,
      task: {
        id: `trip ${tripId}`,
        rowId: this.row({ id: 'errands', name: 'Errands', kind: 'errand', ofId: null }),
        runMinutes,
        batch: null,
        // Its day is over and nobody says it was made: it is still to be made, whenever there is time.
        chunkMinutes: null,
        fixed: isPast ? null : { start, end: start + runMinutes },
        hoursKey: null,
        hold: null,
        after: [],
      },
    });
  }

  /** Trips on which something of a recipe is fetched. */
  private tripsOf(recipeId: string): Follows[] {
    const { plan } = this;
    const own = plan.chosen.filter(({ model }) => model.recipe?.recipeId === recipeId);
    const trips = new Set<string>();
    for (const { model } of own)
      for (const draw of model.draws) {
        if (draw.kind === 'trip') trips.add(draw.key);
        const pool = draw.kind === 'supply' ? plan.model.pool(draw) : undefined;
        if (pool) for (const tripId of tripsPulled(pool, plan.totals.of(draw.poolId))) trips.add(tripId);
      }
    return [...trips]
      .filter((tripId) => this.jobs.has(`trip ${tripId}`))
      .map((tripId) => openAfter(`trip ${tripId}`, 0));
  }

  private addRecipe(recipe: RecipePlan): void {
    const { recipeId } = recipe;
    const rowId = this.recipeRow(recipeId);
    const fetched = this.tripsOf(recipeId);
    const followed = new Set(recipe.steps.flatMap((step) => step.after.map(({ stepId }) => stepId)));
    const last: Follows[] = [];
    for (const step of recipe.steps) {
      const after = step.after.map(
        (link): Follows => ({
          taskId: taskIdOf(stepSubject(recipeId, link.stepId)),
          allowed: link.allowed.map(({ fromHours, toHours, extraSteps }) => ({
            fromMinutes: Math.ceil(fromHours * 60 - 1e-6),
            toMinutes:
              toHours === null ? null : Math.max(Math.ceil(fromHours * 60 - 1e-6), Math.floor(toHours * 60 + 1e-6)),
            // The first way to follow has its own step for what comes in between; a later one takes so much more.
            extraMinutes:
              fromHours === link.allowed[0]?.fromHours || extraSteps.length === 0 ? 0 : this.scuffMinutes(recipe, step),
          })),
        }),
      );
      const subject = stepSubject(recipeId, step.id);
      this.add(this.jobOfStep(recipe, step, rowId, after.length === 0 ? fetched : after));
      if (!followed.has(step.id)) last.push(openAfter(taskIdOf(subject), 0));
    }
    for (const { layerId, handleHours } of curingOf(recipe, this.plan.assumptions)) {
      const coat = recipe.steps.filter((step) => step.layerId === layerId && step.kind === 'coat').at(-1);
      if (coat) last.push(openAfter(taskIdOf(stepSubject(recipeId, coat.id)), handleHours * 60));
    }
    this.lastOf.set(recipeId, last);
  }

  private jobOfStep(recipe: RecipePlan, step: Step, rowId: string, after: Follows[]): Parameters<BenchMaker['add']>[0] {
    const subject = stepSubject(recipe.recipeId, step.id);
    const layer = recipe.layers.find(({ id }) => id === step.layerId);
    const card = this.plan.rows.colorCards.find(({ id }) => id === layer?.colorCardId);
    const isBatch = step.batchKey !== null;
    const own = isBatch ? 0 : step.setUpMinutes + step.cleanUpMinutes;
    const runMinutes = step.skipped
      ? 0
      : Math.max(step.runMinutes > 0 || isBatch ? 1 : 0, this.minutes(step.runMinutes + own));
    const { drying } = step;
    return {
      title: step.title,
      hint: step.hint,
      subject,
      step,
      color: step.kind === 'coat' ? (card?.lab ?? null) : null,
      dries: drying
        ? { touchMinutes: Math.ceil(drying.touchHours * 60), handleMinutes: Math.ceil(drying.untilHours * 60) }
        : null,
      task: {
        id: taskIdOf(subject),
        rowId,
        runMinutes,
        batch:
          step.batchKey !== null && !step.skipped
            ? {
                key: step.batchKey,
                setUpMinutes: this.minutes(step.setUpMinutes),
                cleanUpMinutes: this.minutes(step.cleanUpMinutes),
              }
            : null,
        chunkMinutes: step.splittable && runMinutes > 0 ? Math.max(LEAST_CHUNK_MINUTES, step.leastChunkMinutes) : null,
        hoursKey: step.place === 'outdoors' && !step.skipped ? this.hoursKey(step) : null,
        hold:
          drying && !step.skipped ? { areaM2: drying.footprintM2, minutes: Math.ceil(drying.untilHours * 60) } : null,
        after,
      },
    };
  }

  /** Hours in the open that a step may run in; each kind of limits is looked up once. */
  private hoursKey({ limits }: Step): string {
    const key = JSON.stringify(limits);
    if (!this.hours.has(key)) {
      const { region, isSouthern, hasShelter } = this.plan.rows.project.workshop;
      const latitude = climateRegions[region].latitude * (isSouthern ? -1 : 1);
      const stretch = { from: this.today, days: this.days, timeZone: this.timeZone };
      this.hours.set(key, goodHours(this.forecast, limits, { latitude, hasShelter }, stretch));
    }
    return key;
  }

  private scuffMinutes(recipe: RecipePlan, step: Step): number {
    const rate = this.plan.assumptions.number('labor.sandBetweenMinutesPerM2');
    const skill = this.plan.assumptions.number(`skill.${this.plan.rows.project.skill}`);
    const area = recipe.zones
      .filter(({ key }) => step.zoneKeys.includes(key))
      .reduce((sum, zone) => sum + zone.areaM2 * zone.pieceCount, 0);
    return this.minutes(area * rate * skill);
  }

  /** The other face of a piece is a session too, when it lies in another window: it sets up as the first one does. */
  private shareSetUps(): void {
    const most = new Map<string, { setUpMinutes: number; cleanUpMinutes: number }>();
    for (const { task } of this.jobs.values()) {
      if (!task.batch) continue;
      const known = most.get(task.batch.key) ?? { setUpMinutes: 0, cleanUpMinutes: 0 };
      most.set(task.batch.key, {
        setUpMinutes: Math.max(known.setUpMinutes, task.batch.setUpMinutes),
        cleanUpMinutes: Math.max(known.cleanUpMinutes, task.batch.cleanUpMinutes),
      });
    }
    for (const [id, job] of this.jobs) {
      const minutes = most.get(job.task.batch?.key ?? '');
      if (job.task.batch && minutes)
        this.jobs.set(id, { ...job, task: { ...job.task, batch: { key: job.task.batch.key, ...minutes } } });
    }
  }

  private addSpot(spotId: string): void {
    const spot = this.plan.rows.spots.find(({ id }) => id === spotId);
    if (!spot) return;
    let after: Follows[] = [];
    for (const task of spot.tasks) {
      const subject = { recipeId: null, spotId, optionId: null, stepId: task.id };
      const id = taskIdOf(subject);
      // What was ticked off without the bench is done and dry.
      if (task.done && !this.runs.has(id)) continue;
      this.add({
        title: task.name,
        hint: '',
        subject,
        step: null,
        color: null,
        dries: task.dryHours > 0 ? { touchMinutes: task.dryHours * 60, handleMinutes: task.dryHours * 60 } : null,
        task: {
          id,
          rowId: this.row({ id: `spot ${spotId}`, name: spot.name, kind: 'spot', ofId: spotId }),
          runMinutes: Math.max(1, task.minutes),
          batch: null,
          chunkMinutes: 15,
          hoursKey: null,
          hold: null,
          after,
        },
      });
      after = [openAfter(id, task.dryHours * 60)];
    }
    this.lastOf.set(`spot ${spotId}`, after);
  }

  private spotDeliverable(spotId: string): Deliverable[] {
    const ends = (this.lastOf.get(`spot ${spotId}`) ?? []).map(({ taskId, allowed }) => ({
      taskId,
      waitMinutes: allowed[0]?.fromMinutes ?? 0,
    }));
    return ends.length > 0 ? [{ id: `spot ${spotId}`, weight: importanceWeight.must, due: null, ends }] : [];
  }

  /** Setting an option in its place, after all that it is made of and all that the place needs first. */
  private addFill({ model, count }: PlannedFill): Deliverable {
    const { option, slot, recipe, isDone, offers } = model;
    // What was set in its place already still stands on the line.
    const { hands } = isDone ? model : this.plan.model.asIfUntouched(model);
    const made = recipe && !isDone ? (this.lastOf.get(recipe.recipeId) ?? []) : [];
    const ends = made.map(({ taskId, allowed }) => ({ taskId, waitMinutes: allowed[0]?.fromMinutes ?? 0 }));
    if (recipe && !isDone)
      for (const { layerId, usableHours } of curingOf(recipe, this.plan.assumptions)) {
        const coat = recipe.steps.filter((step) => step.layerId === layerId && step.kind === 'coat').at(-1);
        if (coat)
          ends.push({
            taskId: taskIdOf(stepSubject(recipe.recipeId, coat.id)),
            waitMinutes: Math.ceil(usableHours * 60),
          });
      }
    const rowId = recipe
      ? this.recipeRow(recipe.recipeId)
      : this.row({ id: `option ${option.id}`, name: this.nameOf(model), kind: 'option', ofId: option.id });
    const arrivals = offers.flatMap(({ offer }) => this.addArrival(offer.id, rowId));
    const minutes = Math.ceil(fromMicro(hands.onceMicro + hands.eachMicro * count));
    const subject = { recipeId: null, spotId: null, optionId: option.id, stepId: '' };
    if (minutes > 0) {
      const trips = model.draws.filter(({ kind }) => kind === 'trip').map(({ key }) => `trip ${key}`);
      this.add({
        title: `${offers.length > 0 ? 'Assemble and set' : 'Set'} in place: ${slot.name}`,
        hint: '',
        subject,
        step: null,
        color: null,
        dries: null,
        task: {
          id: taskIdOf(subject),
          rowId,
          runMinutes: minutes,
          batch: null,
          chunkMinutes: 10,
          hoursKey: null,
          hold: null,
          after: [
            ...made,
            ...arrivals,
            ...(this.lastOf.get(`spot ${slot.spotId}`) ?? []),
            ...trips.filter((id) => this.jobs.has(id)).map((id) => openAfter(id, 0)),
          ],
        },
      });
      ends.push({ taskId: taskIdOf(subject), waitMinutes: 0 });
    }
    return { id: option.id, weight: importanceWeight[slot.importance], due: null, ends };
  }

  private nameOf(model: PlannedFill['model']): string {
    return model.finds[0]?.name ?? model.offers[0]?.offer.name ?? model.slot.name;
  }

  /** What is sent comes on its day, without hands. */
  private addArrival(offerId: string, rowId: string): Follows[] {
    const offer = this.plan.rows.offers.find(({ id }) => id === offerId);
    if (!offer || offer.arrivedOn !== null) return [];
    const days = daysUntilHere(offer, this.plan.model.orderedMs(offerId), this.nowMs, this.timeZone);
    const id = `arrival ${offerId}`;
    if (!this.jobs.has(id))
      this.add({
        title: `${offer.name} comes`,
        hint: '',
        subject: null,
        step: null,
        color: null,
        dries: null,
        task: {
          id,
          rowId,
          runMinutes: 0,
          batch: null,
          chunkMinutes: null,
          hoursKey: null,
          hold: null,
          after: [],
          earliest: Math.max(
            this.now,
            days === 0 ? this.now : minuteOf(dateAfter(this.today, days), DELIVERY_MINUTE, this.timeZone),
          ),
        },
      });
    return [openAfter(id, 0)];
  }
}
