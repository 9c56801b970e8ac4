import { z } from 'zod';
import { currencyCodes } from '../../kernel/currencies.data';
import { localDate } from '../../model/fields';
import type { AdList, ListedAd } from '../../sourcing/listedAd';

/** The version of the open format in which lists of ads are read and written. */
export const AD_LIST_VERSION = 1 satisfies AdList['formatVersion'];

const text = (most: number) =>
  z
    .string({ error: `text of at most ${most} characters` })
    .trim()
    .max(most, `text of at most ${most} characters`);
const cm = z.number({ error: 'a length in cm' }).positive('a length in cm').max(10_000, 'a length in cm').nullable();

/** One ad as a list has it. Prices are in whole units of its currency, lengths in cm, distances in km. */
export const listedAd = z.object({
  number: text(80).min(1, 'a number or a name that no other ad of the list has'),
  title: text(200).min(1, 'what is offered'),
  text: text(2000).default(''),
  price: z
    .number({ error: 'a price, or null' })
    .min(0, 'a price, or null')
    .max(10_000_000, 'a price, or null')
    .nullable(),
  currency: z.enum(currencyCodes as [string, ...string[]], { error: 'a currency code like USD' }),
  place: text(120).default(''),
  distanceKm: z
    .number({ error: 'a distance in km' })
    .min(0, 'a distance in km')
    .max(20_000, 'a distance in km')
    .nullable()
    .default(null),
  widthCm: cm.default(null),
  depthCm: cm.default(null),
  heightCm: cm.default(null),
  postedOn: z.union([z.literal(''), localDate], { error: 'a date like 2026-06-20, or nothing' }).default(''),
}) satisfies z.ZodType<ListedAd>;

/** A list of ads on one day: the open JSON format. */
export const adList = z.object({
  format: z.literal('euporia.ads', { error: 'euporia.ads' }),
  formatVersion: z.literal(AD_LIST_VERSION, { error: String(AD_LIST_VERSION) }),
  /** What the list calls itself. */
  feed: text(120).min(1, 'a name of the list'),
  onDate: localDate,
  ads: z.array(listedAd).max(1000, 'at most 1000 ads'),
}) satisfies z.ZodType<AdList>;

/** The columns of a list as CSV: the fields of an ad by their names. */
export const adColumns = Object.keys(listedAd.shape) as (keyof ListedAd)[];
