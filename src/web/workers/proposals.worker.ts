import { localDate, localDay } from '@core/calendar/zonedTime';
import { Memo } from '@core/kernel/memo';
import type { PieceRow, ProjectRows } from '@core/model/rows';
import { Plan } from '@core/plan/computePlan';
import { cutInFull } from '@core/plan/model/cutPurchase';
import { nameOfThought, proposeWays, type WayProposed, type WhyLeft } from '@core/proposals/proposeWays';
import { type Thought, thingsAround, thoughtsFor, unsaidFor } from '@core/proposals/thoughts';
import { expose } from 'comlink';
import { type ChipFace, chipFace } from '../app/chipFace';
import type { ProjectLocale } from '../app/words';

const memo = new Memo();
const newId = () => crypto.randomUUID();

/** A way as the page shows it, with what adds it. */
export interface ToldWay {
  name: string;
  what: string;
  how: string;
  face: ChipFace;
  payload: Thought['payload'];
  piece: PieceRow | null;
}
export interface ToldLeft extends ToldWay {
  why: WhyLeft;
}

/** What is proposed for a slot. */
export interface ToldSlot {
  slotId: string;
  ways: ToldWay[];
  left: ToldLeft[];
  /** Pieces that nobody said the material of: no finish was tried on them. */
  unsaid: string[];
}

/**
 * Proposes ways for some slots, one after the other.
 * @param house pieces of the house that are free on the project's dates
 * @param tell is told what is proposed for each slot as soon as it is known
 */
function propose(
  rows: ProjectRows,
  asOfMs: number,
  locale: ProjectLocale,
  slotIds: readonly string[],
  house: readonly PieceRow[],
  tell: (told: ToldSlot) => void,
): void {
  const plan = new Plan(rows, asOfMs, memo, cutInFull);
  const around = thingsAround(plan, house, localDate(asOfMs, locale.timeZone), newId);
  const today = localDay(asOfMs, locale.timeZone);
  const told = ({ thought, option }: WayProposed): ToldWay => ({
    name: nameOfThought(thought),
    what: thought.what,
    how: thought.how,
    face: chipFace(option, locale, today, nameOfThought(thought)),
    payload: thought.payload,
    piece: thought.piece,
  });
  for (const slotId of slotIds) {
    const slot = rows.slots.find(({ id }) => id === slotId);
    if (!slot) continue;
    const { ways, left } = proposeWays(plan, slot, thoughtsFor(plan, slot, around, newId), memo);
    tell({
      slotId,
      ways: ways.map(told),
      left: left.map((way) => ({ ...told(way), why: way.why })),
      unsaid: unsaidFor(slot, around).map(({ name }) => name),
    });
  }
}

const work = { propose };
export type ProposalsWork = typeof work;
expose(work);
