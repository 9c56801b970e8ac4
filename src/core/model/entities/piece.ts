import { z } from 'zod';
import { materials, oldFinishes } from '../../catalog/substrates';
import { careKinds, checkVerdicts, cordConditions, eras, leadTests } from '../../state/pieceState';
import { furnitureTemplates } from '../../surface/templates';
import { defineEntity } from '../entity';
import {
  line,
  localDate,
  minorUnits,
  number,
  oneOf,
  paragraph,
  refersTo,
  registered,
  wholeNumber,
  yesNo,
} from '../fields';
import { seasons, slotRoles } from '../rowKinds';
import { anyCurrency } from '../values/currency';
import { cutOut } from '../values/photoPoint';
import { lab, lengthMm, measures, sheen } from '../values/surface';

/** What is said of a thing's surface and care, whoever speaks of it. */
export const surfaceFields = {
  name: line(1, 120),
  kind: oneOf(careKinds),
  templateId: registered(furnitureTemplates),
  materialId: registered({ ids: materials.map((entry) => entry.id) }),
  /** Old finish on the material, or null when it is bare. */
  finishId: registered({ ids: oldFinishes.map((entry) => entry.id) }).nullable(),
  sheen,
  /** Main color. */
  color: lab.nullable(),
  era: oneOf(eras),
  leadTest: oneOf(leadTests),
  cordCondition: oneOf(cordConditions),
};

/** The outline of a piece in plan. */
export const outlines = ['unknown', 'round', 'square'] as const;
export type Outline = (typeof outlines)[number];

/** How many pieces there may be of one kind, counted or bought in packs. */
export const MOST_PIECES = 1_000_000;

/**
 * One physical thing, or so many alike: what it is, wherever it is. In the house it is part of the stash; a project
 * that saw it speaks of it through a sighting.
 */
export const piece = defineEntity({
  table: 'pieces',
  name: 'piece',
  noun: 'piece',
  owner: 'studio',
  travels: 'referred',
  most: { count: 10_000, per: 'studio' },
  snapshot: 'linked',
  house: 'asked',
  indexed: [['heightMm'], ['lastUsedOn'], ['name']],
  remains: { inHouse: false },
  fields: {
    ...surfaceFields,
    /** What its kind asks for, by id; of the overall size only what is usual while nobody measured. */
    measures,
    /** Hands-on minutes that its flaws ask for, whatever is done with it. */
    repairMinutes: wholeNumber(0, 6000, 'minutes'),
    /** Whether it is in the house, ours or borrowed; false for what was only seen, or has left. */
    inHouse: yesNo,
    /** Overall size in mm; null while nobody measured. */
    widthMm: lengthMm.nullable(),
    depthMm: lengthMm.nullable(),
    heightMm: lengthMm.nullable(),
    weightG: number(1, 1_000_000, 'a weight in g').nullable(),
    /** What its top and foot are in plan, for what stands on it. */
    outline: oneOf(outlines),
    /** What it carries, in g, where something stands or lies on it; null while nobody knows. */
    carriesG: number(1, 1_000_000, 'a weight in g').nullable(),
    /** Room inside a basket, a canister, under a dome, on one tier; mm, null while nobody measured. */
    innerWidthMm: lengthMm.nullable(),
    innerDepthMm: lengthMm.nullable(),
    innerHeightMm: lengthMm.nullable(),
    /** How many tiers it has, or null where it has none. */
    tiers: wholeNumber(1, 12, 'tiers').nullable(),
    /** How many days it stays fresh once it is cut or bought; null for what lasts. */
    freshDays: wholeNumber(1, 365, 'days').nullable(),
    /** A second color where it has one. */
    accent: lab.nullable(),
    /** What it can do in an arrangement. */
    roles: z.array(oneOf(slotRoles)).max(slotRoles.length),
    /** Style words, as one says them: "coastal, wicker, old". */
    style: line(0, 200),
    season: oneOf(seasons),
    /** Where it stands now; empty while it is stored. */
    standsAt: line(0, 120),
    /** Where it is stored: box, shelf, how it is protected. */
    box: line(0, 60),
    shelf: line(0, 60),
    protection: line(0, 120),
    /** How many alike there are that serve; 0 when none of them does. */
    count: wholeNumber(0, MOST_PIECES, 'a count'),
    /** Whether that is a count; otherwise nobody counted, and there are at least so many. */
    counted: yesNo,
    /** The year since which it is in the house. */
    sinceYear: wholeNumber(1000, 2200, 'a year').nullable(),
    uses: wholeNumber(0, 100_000, 'a number of uses'),
    /** Local date of the last use, or null when nobody knows of one. */
    lastUsedOn: localDate.nullable(),
    /** What one is worth, in minor units of `currency`. */
    value: minorUnits.nullable(),
    currency: anyCurrency,
    story: paragraph(0, 2000),
    fragile: yesNo,
    /** Whose it is; empty when it is ours. */
    borrowedFrom: line(0, 120),
    backBy: localDate.nullable(),
    /** Whether the owner has said yes to altering it. */
    mayAlter: yesNo,
    photoId: refersTo('photoBytes').nullable(),
    /** Its edge in a picture of it; null while nobody cut it out. */
    cutOut: cutOut.nullable(),
    /** Local date on which it was seen in the house last. */
    seenOn: localDate.nullable(),
    /** What was looked at when it was inspected, check by check. */
    inspected: z
      .array(z.strictObject({ check: line(1, 60), verdict: oneOf(checkVerdicts) }))
      .max(80, 'at most 80 checks'),
    /** False while a quick entry still waits to be sorted out. */
    sorted: yesNo,
  },
});
