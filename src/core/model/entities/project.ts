import { z } from 'zod';
import { isTimeZone } from '../../calendar/zonedTime';
import { skillFactors } from '../../catalog/labor.data';
import { hidingThresholds } from '../../color/coatsUntilHidden';
import { currencyCodes } from '../../kernel/currencies.data';
import { MOST_NAME } from '../../kernel/nextName';
import {
  amountSchools,
  arrangingSchools,
  type Brief,
  coatSchools,
  groupingSchools,
  type Household,
  paletteRoles,
  petKinds,
  preparationSchools,
} from '../../state/brief';
import { defineEntity } from '../entity';
import {
  keyOf,
  line,
  localDate,
  minorUnits,
  oneOf,
  paragraph,
  percentThousandths,
  refersTo,
  registered,
  wholeNumber,
  yesNo,
} from '../fields';
import { taxSchema } from '../values/price';
import { lengthMm } from '../values/surface';
import { workshopSchema } from '../values/workshop';

const household = z.strictObject({
  youngestChildYears: wholeNumber(0, 17, 'years').nullable(),
  pregnancy: yesNo,
  pets: z.array(oneOf(petKinds)).max(petKinds.length),
  rented: yesNo,
  noDrilling: yesNo,
  reversibleOnly: yesNo,
  outdoors: yesNo,
  damp: yesNo,
  heatNear: yesNo,
  foodNear: yesNo,
  buildingWorks: yesNo,
  cordReachMm: lengthMm.nullable(),
}) satisfies z.ZodType<Household>;

const brief = z.strictObject({
  version: z.literal(1),
  occasion: line(0, 200),
  mood: paragraph(0, 400),
  functions: z.array(line(1, 120)).max(30, 'at most 30 functions'),
  anchor: z
    .strictObject({ what: line(1, 200), why: paragraph(0, 400), photoId: refersTo('photos').nullable() })
    .nullable(),
  splurge: z.strictObject({ what: line(1, 200), amount: minorUnits }).nullable(),
  palette: z
    .array(z.strictObject({ colorCardId: refersTo('colorCards'), role: oneOf(paletteRoles) }))
    .max(24, 'at most 24 colors'),
  weeks: z
    .array(z.strictObject({ monday: localDate, minutes: wholeNumber(0, 10_080, 'minutes of a week') }))
    .max(60, 'at most 60 weeks'),
  beforePhoto: oneOf(['wanted', 'waived']),
  beforePhotoWhy: line(0, 200),
  wishedBudget: minorUnits.nullable(),
  leavingDate: localDate.nullable(),
  comesAgain: yesNo,
  preparation: oneOf(preparationSchools),
  arranging: oneOf(arrangingSchools),
  amount: oneOf(amountSchools),
  grouping: oneOf(groupingSchools),
}) satisfies z.ZodType<Brief>;

/** One job with a brief, a budget, hours, a reveal date. */
export const project = defineEntity({
  table: 'project',
  name: 'project',
  noun: 'project',
  owner: 'studio',
  travels: 'always',
  most: { count: 200, per: 'studio' },
  fields: {
    name: line(1, MOST_NAME),
    room: line(0, 120),
    currency: registered({ ids: currencyCodes }),
    units: oneOf(['us', 'metric']),
    timeZone: z.string().refine(isTimeZone, { error: 'a time zone name like America/New_York' }),
    /** Minor units. */
    budget: minorUnits,
    contingencyThousandths: percentThousandths(100_000),
    tax: taxSchema,
    hoursOnHandMinutes: wholeNumber(0, 600_000, 'minutes').nullable(),
    skill: keyOf(skillFactors),
    /** Minor units an hour, or null for "my time is free". */
    hourValue: minorUnits.nullable(),
    revealDate: localDate.nullable(),
    /** Local date until which the look stays up, or null when it is not known: pieces are spoken for until then. */
    standsUntil: localDate.nullable(),
    /** When it was put into the archive; null while it is worked on. */
    archivedOn: localDate.nullable(),
    school: oneOf(coatSchools),
    eye: keyOf(hidingThresholds),
    household,
    brief,
    /** When and where the making is done. */
    workshop: workshopSchema,
  },
});
