import { dateAfter } from '../calendar/localDates';
import { fromMicro } from '../kernel/micro';
import { daysUntilHere } from '../plan/comesOn';
import { importanceWeight } from '../plan/importanceWeight';
import type { PlannedFill } from '../plan/model/planModel';
import { curingOf } from '../recipe/curing';
import { stepSubject, taskIdOf } from './benchJobs';
import type { Deliverable, Follows } from './benchProblem';
import { type JobBook, openAfter } from './jobBook';
import { minuteOf } from './workerWindows';

/** When what is sent is there, minutes of the day it comes: late in the afternoon (a modelling choice). */
const DELIVERY_MINUTE = 17 * 60;

/** What a spot needs before anything is set in it: cleared, cleaned, dry. */
export function spotJobs(book: JobBook, spotId: string): void {
  const spot = book.plan.rows.spots.find(({ id }) => id === spotId);
  if (!spot) return;
  let after: Follows[] = [];
  for (const task of spot.tasks) {
    const subject = { recipeId: null, spotId, optionId: null, stepId: task.id };
    const id = taskIdOf(subject);
    // What was ticked off without the bench is done and dry.
    if (task.done && !book.runs.has(id)) continue;
    book.add({
      title: task.name,
      hint: '',
      subject,
      step: null,
      color: null,
      dries: task.dryHours > 0 ? { touchMinutes: task.dryHours * 60, handleMinutes: task.dryHours * 60 } : null,
      task: {
        id,
        rowId: book.row({ id: `spot ${spotId}`, name: spot.name, kind: 'spot', ofId: spotId }),
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
  book.lastOf.set(`spot ${spotId}`, after);
}

/** A spot is ready when the last of its tasks is done and dry. */
export function spotDeliverable(book: JobBook, spotId: string): Deliverable[] {
  const ends = (book.lastOf.get(`spot ${spotId}`) ?? []).map(({ taskId, allowed }) => ({
    taskId,
    waitMinutes: allowed[0]?.fromMinutes ?? 0,
  }));
  return ends.length > 0 ? [{ id: `spot ${spotId}`, weight: importanceWeight.must, due: null, ends }] : [];
}

/** Setting an option in its place, after all that it is made of and all that the place needs first. */
export function placingJob(book: JobBook, { model, count }: PlannedFill): Deliverable {
  const { option, slot, recipe, isDone, offers } = model;
  // What was set in its place already still stands on the line.
  const { hands } = isDone ? model : book.plan.model.asIfUntouched(model);
  const made = recipe && !isDone ? (book.lastOf.get(recipe.recipeId) ?? []) : [];
  const ends = made.map(({ taskId, allowed }) => ({ taskId, waitMinutes: allowed[0]?.fromMinutes ?? 0 }));
  if (recipe && !isDone)
    for (const { layerId, usableHours } of curingOf(recipe, book.plan.assumptions)) {
      const coat = recipe.steps.filter((step) => step.layerId === layerId && step.kind === 'coat').at(-1);
      if (coat)
        ends.push({
          taskId: taskIdOf(stepSubject(recipe.recipeId, coat.id)),
          waitMinutes: Math.ceil(usableHours * 60),
        });
    }
  const rowId = recipe
    ? book.recipeRow(recipe.recipeId)
    : book.row({ id: `option ${option.id}`, name: nameOf(model), kind: 'option', ofId: option.id });
  const arrivals = offers.flatMap(({ offer }) => arrivalJob(book, offer.id, rowId));
  const minutes = Math.ceil(fromMicro(hands.onceMicro + hands.eachMicro * count));
  const subject = { recipeId: null, spotId: null, optionId: option.id, stepId: '' };
  if (minutes > 0) {
    const trips = model.draws.filter(({ kind }) => kind === 'trip').map(({ key }) => `trip ${key}`);
    book.add({
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
          ...(book.lastOf.get(`spot ${slot.spotId}`) ?? []),
          ...trips.filter((id) => book.jobs.has(id)).map((id) => openAfter(id, 0)),
        ],
        ratherAfter: madeFor(book, slot.spotId),
      },
    });
    ends.push({ taskId: taskIdOf(subject), waitMinutes: 0 });
  }
  return { id: option.id, weight: importanceWeight[slot.importance], due: null, ends };
}

/**
 * The last hands at what is made for a spot, or for all spots where nothing is made for it: a room is dressed when that is
 * done, not piece by piece in its dust.
 */
function madeFor(book: JobBook, spotId: string): string[] {
  const made = book.plan.chosen.filter(({ model }) => model.recipe && !model.isDone);
  const own = made.filter(({ model }) => model.slot.spotId === spotId);
  return (own.length > 0 ? own : made).flatMap(({ model }) =>
    (book.lastOf.get(model.recipe?.recipeId ?? '') ?? []).map(({ taskId }) => taskId),
  );
}

function nameOf(model: PlannedFill['model']): string {
  return model.finds[0]?.name ?? model.offers[0]?.offer.name ?? model.slot.name;
}

/** What is sent comes on its day, without hands. */
function arrivalJob(book: JobBook, offerId: string, rowId: string): Follows[] {
  const offer = book.plan.rows.offers.find(({ id }) => id === offerId);
  if (!offer || offer.arrivedOn !== null) return [];
  const days = daysUntilHere(offer, book.plan.model.orderedMs(offerId), book.nowMs, book.timeZone);
  const id = `arrival ${offerId}`;
  if (!book.jobs.has(id))
    book.add({
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
          book.now,
          days === 0 ? book.now : minuteOf(dateAfter(book.today, days), DELIVERY_MINUTE, book.timeZone),
        ),
      },
    });
  return [openAfter(id, 0)];
}
