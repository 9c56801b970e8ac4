import { Assumptions } from '../../catalog/assumptions';
import { nothingLearned } from '../../catalog/learned';
import { supplyKind } from '../../catalog/supplyKinds';
import { CUTTING_MACHINE } from '../../catalog/tools';
import type { Pin } from '../../cutting/question';
import type { Memo } from '../../kernel/memo';
import { toMicro } from '../../kernel/micro';
import { learnFactors } from '../../log/learnFactors';
import type {
  ColorCardRow,
  FillRow,
  LogEntryRow,
  OptionRow,
  OverrideRow,
  PieceRow,
  ProjectRows,
  SlotRow,
  StepRunRow,
} from '../../model/rows';
import type { PackPurchase } from '../../pricing/cheapestPacks';
import type { Tax } from '../../pricing/priceStory';
import { computeRecipe, type RecipePlan } from '../../recipe/computeRecipe';
import type { RecipeBody } from '../../recipe/recipeBody';
import type { Lesson, PieceFacts, RecipeContext } from '../../recipe/recipeContext';
import { partsOfSupplyKey } from '../../recipe/supplyKey';
import { madeBody } from '../madeBody';
import {
  deliveredBy,
  deliveryPool,
  findPool,
  isToolOwned,
  orderPool,
  sessionPool,
  supplyPool,
  toolPool,
  tripPool,
} from './compilePools';
import { type Cutter, cutInFull } from './cutPurchase';
import { lessonsOfLog } from './lessonsOfLog';
import { lessonsOfRecipe } from './lessonsOfRecipe';
import { compileOption, type OptionModel } from './optionModel';
import { purchaseOf } from './poolCost';
import { type Draw, type Pool, type SupplyPool, type ToolPool, totalOf } from './pools';
import { type RowIndex, rowIndex } from './rowIndex';

/** A fill as it is planned: a way to fill its slot, and how many of the slot it covers. */
export interface PlannedFill {
  model: OptionModel;
  count: number;
}

/**
 * A project's rows as the plan reads them: options with what they draw, pools with what a draw costs, recipes. Every
 * part is compiled when it is first asked for, and taken over from an earlier model while what it is made from is the
 * same. Board, purse, reasons and shopping read this one object.
 */
export class PlanModel {
  readonly rows: ProjectRows;
  readonly assumptions: Assumptions;
  readonly memo: Memo;
  private readonly recipes = new Map<string, RecipePlan>();
  private readonly pools = new Map<string, Pool>();
  private readonly options = new Map<string, OptionModel>();
  private readonly index: RowIndex;
  readonly cutter: Cutter;
  private knownLessons: readonly Lesson[] | null = null;

  constructor(rows: ProjectRows, memo: Memo, cutter: Cutter) {
    this.rows = rows;
    this.cutter = cutter;
    this.memo = memo;
    this.assumptions = memo.part(assumptionsOf, '', {
      overrides: rows.overrides,
      logEntries: rows.logEntries,
    });
    this.index = rowIndex(rows, memo);
  }

  /** All ways to fill a slot, in the order of their rows. */
  optionsOf(slotId: string): OptionModel[] {
    return (this.index.optionsOfSlots.get(slotId) ?? []).flatMap((row) => this.option(row.id) ?? []);
  }

  /** An option by its id; undefined when it, or its slot, is not there. */
  option(id: string): OptionModel | undefined {
    const known = this.options.get(id);
    if (known) return known;
    const row = this.index.options.get(id);
    const slot = row && this.index.slots.get(row.slotId);
    if (!row || !slot) return undefined;
    const isDone = row.recipeId !== null && (this.index.recipes.get(row.recipeId)?.doneOn ?? null) !== null;
    const model = this.compile(row, slot, isDone, this.doneSteps(row.recipeId));
    this.options.set(id, model);
    return model;
  }

  /** An option as if its recipe were not done yet, but for the steps that were logged: what was worked on it is told by this. */
  asIfOpen(model: OptionModel): OptionModel {
    const { option, slot } = model;
    return model.isDone ? this.compile(option, slot, false, this.doneSteps(option.recipeId)) : model;
  }

  /** An option as if nothing of it were done, or in its place. */
  asIfUntouched({ option, slot }: OptionModel): OptionModel {
    return this.compile(option, slot, false, nothingDone, true);
  }

  /** The steps of a recipe that were done at the bench; the same set as long as they are the same. */
  private doneSteps(recipeId: string | null): ReadonlySet<string> {
    return recipeId === null
      ? nothingDone
      : (this.memo.part(doneStepsOf, '', { stepRuns: this.rows.stepRuns }).get(recipeId) ?? nothingDone);
  }

  /** Options that were set in their place at the bench. */
  private placed(): ReadonlySet<string> {
    return this.memo.part(placedOf, '', { stepRuns: this.rows.stepRuns });
  }

  /** @param isOpen whether it is taken as if nothing of it were done yet */
  private compile(
    option: OptionRow,
    slot: SlotRow,
    isDone: boolean,
    doneSteps: ReadonlySet<string>,
    isOpen = false,
  ): OptionModel {
    const { finds, offers, recipes } = this.index;
    return this.memo.part(compileOption, `${isDone ? 'done ' : ''}${isOpen ? 'open ' : ''}${option.id}`, {
      option,
      slot,
      recipe: option.recipeId === null ? null : (this.recipe(option.recipeId) ?? null),
      body: recipes.get(option.recipeId ?? '')?.body ?? null,
      isDone,
      doneSteps,
      isPlaced: !isOpen && this.placed().has(option.id),
      finds: option.parts.flatMap((part) => finds.get(part.findId ?? '') ?? []),
      offers: option.parts.flatMap((part) => offers.get(part.offerId ?? '') ?? []),
      trips: this.tripsFor(option),
      overheadPercent: this.assumptions.number('labor.overheadPercent'),
    });
  }

  /** The trips on which something of an option is to be fetched that is not paid yet. */
  private tripsFor(option: OptionRow): string[] {
    const { finds, offers, tripOfSource } = this.index;
    const places = option.parts.map(({ findId, offerId }) => {
      const find = finds.get(findId ?? '');
      if (find) return find.state === 'seen' || find.state === 'passed' ? find.sourceId : null;
      const offer = offers.get(offerId ?? '');
      return offer && !this.isSettled('offer', offer.id) ? offer.sourceId : null;
    });
    return [...new Set(places.flatMap((sourceId) => tripOfSource.get(sourceId ?? '') ?? []))];
  }

  /** A recipe, computed for as many pieces as the choices take. */
  recipe(id: string): RecipePlan | undefined {
    const known = this.recipes.get(id);
    if (known) return known;
    const row = this.index.recipes.get(id);
    if (!row) return undefined;
    const body = madeBody(this.rows, row);
    const { skill, school, eye, household, brief } = this.rows.project;
    const plan = this.memo.part(recipePart, id, {
      recipeId: id,
      body,
      assumptions: this.assumptions,
      skill,
      school,
      eye,
      household,
      preparation: brief.preparation,
      pieces: this.piecesOf(body),
      colorCards: [
        ...body.layers.map((layer) => this.index.colorCards.get(layer.colorCardId ?? '')),
        ...Object.values(body.primerTints).map((cardId) => this.index.colorCards.get(cardId)),
      ],
      lessons: this.lessons(),
      stocks: this.index.stocks,
      hasCuttingMachine: this.hasCuttingMachine(),
      artworks: body.layers.flatMap(({ artworkIds = [] }) => artworkIds.map((own) => this.index.artworks.get(own))),
    });
    this.recipes.set(id, plan);
    return plan;
  }

  private hasCuttingMachine(): boolean {
    return isToolOwned(CUTTING_MACHINE, this.index.tools.get(CUTTING_MACHINE) ?? null);
  }

  private piecesOf(body: RecipeBody): (PieceFacts | undefined)[] {
    return body.pieces.map((piece) => this.index.finds.get(piece.findId ?? ''));
  }

  /** What went wrong in the recipes of the project, and in any project by the studio's log, with what on what. */
  private lessons(): readonly Lesson[] {
    this.knownLessons ??= [
      ...this.rows.recipes.flatMap((row) =>
        row.body.setbacks.length === 0
          ? []
          : this.memo.part(lessonsOfRecipe, row.id, {
              recipeId: row.id,
              body: row.body,
              pieces: this.piecesOf(row.body),
            }),
      ),
      ...this.memo.part(lessonsOfLog, '', { logEntries: this.rows.logEntries, stepRuns: this.rows.stepRuns }),
    ];
    return this.knownLessons;
  }

  /** What a recipe that is not saved yet would be computed against. */
  recipeContext(): RecipeContext {
    const { skill, school, eye, household, brief } = this.rows.project;
    return {
      pieces: this.index.finds,
      colorCards: this.index.colorCards,
      assumptions: this.assumptions,
      skill,
      school,
      eye,
      household,
      preparation: brief.preparation,
      lessons: this.lessons(),
      stocks: this.index.stocks,
      hasCuttingMachine: this.hasCuttingMachine(),
      artworks: this.index.artworks,
    };
  }

  /** A piece of the house by its id. */
  piece(id: string): PieceRow | undefined {
    return this.index.pieces.get(id);
  }

  /** The pool that a draw draws from; undefined when its find or offer is not there. */
  pool(draw: Pick<Draw, 'poolId' | 'kind' | 'key'>): Pool | undefined {
    const known = this.pools.get(draw.poolId);
    if (known) return known;
    const made = this.makePool(draw);
    if (made) this.pools.set(draw.poolId, made);
    return made;
  }

  /** The tax that a place charges: its own, else the project's. */
  private taxAt(sourceId: string | null): Tax {
    return this.index.sources.get(sourceId ?? '')?.tax ?? this.rows.project.tax;
  }

  private makePool({ kind, key }: Pick<Draw, 'kind' | 'key'>): Pool | undefined {
    const { currency, tax, units } = this.rows.project;
    const { memo, assumptions, index } = this;
    switch (kind) {
      case 'find': {
        const find = index.finds.get(key);
        if (!find) return undefined;
        const isPaid = this.isSettled('piece', find.pieceId);
        return memo.part(findPool, key, { find, isPaid, currency, tax: this.taxAt(find.sourceId) });
      }
      case 'order': {
        const offer = index.offers.get(key);
        if (!offer) return undefined;
        const isPaid = this.isSettled('offer', key);
        return memo.part(orderPool, key, { offer, isPaid, tax: this.taxAt(offer.sourceId) });
      }
      case 'supply': {
        const row = index.supplies.get(key) ?? null;
        const packs = row ? (index.packsOfSupplies.get(row.id) ?? []) : [];
        const card = index.colorCards.get(key.split('|')[1] ?? '') ?? null;
        return memo.part(supplyPool, key, {
          key,
          row,
          packs,
          card,
          pins: this.index.pins.get(key) ?? noPins,
          // Only what is cut is made anew when another layout is found.
          cutter: supplyKind(partsOfSupplyKey(key).kindId)?.cut ? this.cutter : cutInFull,
          currency,
          tax,
          units,
          tripOfName: index.tripOfName,
          delivererOfName: index.delivererOfName,
          taxOfName: index.taxOfName,
          place: index.placeOfSupply.get(key) ?? null,
        });
      }
      case 'trip': {
        const sender = deliveredBy(key);
        if (sender !== null) {
          const source = index.sources.get(sender);
          return source?.delivers ? memo.part(deliveryPool, key, { source, tax: this.taxAt(sender) }) : undefined;
        }
        const trip = index.trips.get(key);
        return (
          trip &&
          memo.part(tripPool, key, { trip, sources: trip.stops.map(({ sourceId }) => index.sources.get(sourceId)) })
        );
      }
      case 'session':
        return memo.part(sessionPool, key, { key, assumptions });
      case 'tool': {
        const notes = index.notesOfTools.get(key) ?? [];
        return memo.part(toolPool, key, { toolId: key, row: index.tools.get(key) ?? null, notes, currency, tax });
      }
      default:
        return kind satisfies never;
    }
  }

  /** When an offer was ordered or paid, epoch milliseconds; null while it is neither. */
  orderedMs(offerId: string): number | null {
    return this.index.offersOrdered.get(offerId) ?? null;
  }

  private isSettled(subject: string, id: string): boolean {
    return this.index.settled.get(subject)?.has(id) ?? false;
  }

  /** A supply by its key, whether or not anything draws on it. */
  supply(key: string): SupplyPool {
    return this.pool({ poolId: `supply ${key}`, kind: 'supply', key }) as SupplyPool;
  }

  /** A tool by its id, whether or not anything asks for it. */
  tool(toolId: string): ToolPool {
    return this.pool({ poolId: `tool ${toolId}`, kind: 'tool', key: toolId }) as ToolPool;
  }

  /** The cheapest packs for a need of a supply beyond its stash; the need in the supply's unit. */
  purchase(key: string, need: number): PackPurchase {
    return purchaseOf(this.supply(key), totalOf(toMicro(need)));
  }

  /** What buying a set of needs takes beyond the stash, likely, in minor units; each need in its supply's unit. */
  cashOf(needs: ReadonlyMap<string, number>): number {
    return [...needs].reduce((sum, [key, need]) => sum + this.purchase(key, need).cash.likely, 0);
  }

  /** The fills that count, in the order of their rows. */
  fills(): PlannedFill[] {
    return this.rows.fills.flatMap((fill: FillRow) => {
      const model = fill.count > 0 ? this.option(fill.optionId) : undefined;
      return model ? [{ model, count: fill.count }] : [];
    });
  }
}

const noPins: readonly Pin[] = Object.freeze([]);
const nothingDone: ReadonlySet<string> = new Set();

/** The options that were set in their place. */
const placedOf = (of: { stepRuns: readonly StepRunRow[] }): ReadonlySet<string> =>
  new Set(of.stepRuns.flatMap(({ optionId, state }) => (optionId !== null && state === 'done' ? [optionId] : [])));

/** The steps that are done, by their recipe. */
function doneStepsOf(of: { stepRuns: readonly StepRunRow[] }): ReadonlyMap<string, ReadonlySet<string>> {
  const done = new Map<string, Set<string>>();
  for (const { recipeId, stepId, state } of of.stepRuns) {
    if (recipeId === null || state !== 'done') continue;
    done.set(recipeId, (done.get(recipeId) ?? new Set()).add(stepId));
  }
  return done;
}

const assumptionsOf = (of: { overrides: readonly OverrideRow[]; logEntries: readonly LogEntryRow[] }) =>
  new Assumptions(of.overrides, of.logEntries.length === 0 ? nothingLearned : learnFactors(of.logEntries));

type RecipeInputs = { recipeId: string; body: RecipeBody } & Omit<
  RecipeContext,
  'pieces' | 'colorCards' | 'artworks'
> & {
    pieces: readonly (PieceFacts | undefined)[];
    colorCards: readonly (ColorCardRow | undefined)[];
    artworks: readonly (ProjectRows['artworks'][number] | undefined)[];
  };

function recipePart({ recipeId, body, pieces, colorCards, artworks, ...context }: RecipeInputs): RecipePlan {
  const known = <T>(item: T | undefined): item is T => item !== undefined;
  return computeRecipe(recipeId, body, {
    ...context,
    pieces: new Map(pieces.filter(known).map((piece) => [piece.id, piece])),
    colorCards: new Map(colorCards.filter(known).map((card) => [card.id, card])),
    artworks: new Map(artworks.filter(known).map((artwork) => [artwork.id, artwork])),
  });
}
