import type { ClientSheet } from '@core/sheets/clientSheet';
import { originKinds } from '@core/sourcing/origins';
import { z } from 'zod';
import { spotPicture } from './answers';
import { LONGEST_LINK_DAYS } from './linkDays';

const daysWords = `1 to ${LONGEST_LINK_DAYS} days`;

/** A link to one project's sheet, for somebody who is not of the studio. */
export const shareSchema = z.strictObject({
  days: z.number({ error: daysWords }).int(daysWords).min(1, daysWords).max(LONGEST_LINK_DAYS, daysWords),
  showsCosts: z.boolean({ error: 'whether it shows what it costs' }),
  showsPhotos: z.boolean({ error: 'whether it shows the photos' }),
});
const link = z.object({
  id: z.uuid(),
  by: z.string(),
  showsCosts: z.boolean(),
  showsPhotos: z.boolean(),
  sinceMs: z.number(),
  untilMs: z.number(),
});
export type SharedLink = z.output<typeof link>;
export const linksAnswer = z.object({ links: z.array(link) });
/** The secret of a link is told once; nobody can read it again. */
export const sharedAnswer = linksAnswer.extend({ id: z.uuid(), secret: z.string(), address: z.url().nullable() });

const secret = z.string({ error: 'the end of the link' }).min(1).max(100);
export const sheetSchema = z.strictObject({ secret });
/** One of the photos that a link shows. The secret stands in no address: addresses are noted in many places. */
export const sheetPhotoSchema = z.strictObject({ secret, photoId: z.uuid('the id of a photo') });

const localDate = z.string();

/** What whoever has a link sees of a project: what it will look like, what of and how to live with it; costs only where that was meant. */
export const sheetAnswer = z.object({
  untilMs: z.number(),
  /** The local date on which it is read, where the project is. */
  today: localDate,
  sheet: z.object({
    name: z.string(),
    room: z.string(),
    revealDate: localDate.nullable(),
    palette: z.array(z.object({ name: z.string(), hex: z.string() })),
    spots: z.array(
      z.object({
        id: z.uuid(),
        name: z.string(),
        pieces: z.array(
          z.object({
            slot: z.string(),
            what: z.string(),
            count: z.number(),
            from: z.enum(originKinds),
            /** Minor units; null where the link shows no costs. */
            cost: z.number().nullable(),
            care: z.object({
              notes: z.array(z.string()),
              cautions: z.array(z.string()),
              usableOn: localDate.nullable(),
              hardOn: localDate.nullable(),
            }),
          }),
        ),
        /** Slots that nothing fills yet. */
        open: z.array(z.string()),
      }),
    ),
    costs: z
      .object({ currency: z.string(), budget: z.number(), cameTo: z.number(), isSettled: z.boolean() })
      .nullable(),
  }) satisfies z.ZodType<ClientSheet>,
  /** Photos of the room, each with the one before; none where the link shows none. */
  room: z.array(z.object({ before: z.uuid().nullable(), after: z.uuid() })),
  /** What each spot looks like, by its id. */
  pictures: z.record(z.string(), spotPicture),
});
export type SheetAnswer = z.output<typeof sheetAnswer>;
