import { z } from 'zod';
import { coatings } from '../../catalog/coatings';
import { consumables } from '../../catalog/consumables';
import { defineEntity } from '../entity';
import { fieldFacts, line, localDate, number, oneOf, refersTo, registered, wholeNumber } from '../fields';
import { ownStock, storedOffcut } from '../values/stock';
import { sheen } from '../values/surface';

/** The most that there may be of a supply, in its unit. */
export const MOST_AMOUNT = 1_000_000;
/** The most that a unit of a supply may cost, in millionths of a minor unit. */
export const MOST_UNIT_COST = 9_000_000_000_000;

/** An amount of a supply in its unit. */
export const supplyAmount = (least: number) => number(least, MOST_AMOUNT, 'an amount');

/** A consumable, identified by kind, color card and sheen, with what there is of it. */
export const supply = defineEntity({
  table: 'supplies',
  name: 'supply',
  noun: 'supply',
  owner: 'studio',
  travels: 'companion',
  snapshot: { sharing: 'colorCardId' },
  most: { count: 2000, per: 'studio' },
  unique: [['kindId', 'colorCardId', 'sheen']],
  keptWhile:
    'a supply that no project has paid for; noted as empty, this one stands among what is used up, out of the way',
  remains: { stash: { state: 'none', amount: 0 }, offcuts: [], unitCostMillionths: null },
  fields: {
    kindId: registered({ ids: [...coatings.ids, ...consumables.ids] }),
    colorCardId: refersTo('colorCards').nullable(),
    sheen: sheen.nullable(),
    /** Amount in the supply's unit; `about` says that it was guessed, `always` that nobody counts it: it is there. */
    stash: z.strictObject({ state: oneOf(['none', 'exact', 'about', 'always']), amount: supplyAmount(0) }),
    /** What a unit of it cost, in millionths of a minor unit; null values it at what replacing costs. */
    unitCostMillionths: wholeNumber(0, MOST_UNIT_COST).register(fieldFacts, { column: 'bigint' }).nullable(),
    /** Its own size and print where it is cut and differs from what is usual of its kind. */
    stock: ownStock.nullable(),
    /** What is left of sheets, rolls and boards that were cut into, by size. */
    offcuts: z.array(storedOffcut).max(80, 'at most 80 leftovers'),
    /** The tint base as the label says it; empty while nobody looked. */
    base: line(0, 60),
    /** What a full can of it holds, in its unit; null while not known. */
    containerSize: number(0.001, MOST_AMOUNT, 'what a full one holds').nullable(),
    openedOn: localDate.nullable(),
    keepsUntil: localDate.nullable(),
    /** When it was looked into last. */
    checkedOn: localDate.nullable(),
  },
});
