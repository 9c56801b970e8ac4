import type { SheetAnswer } from '@contract/sheet';
import { spotSummary } from '@core/arrange/look/lookSummary';
import { localDate } from '@core/calendar/zonedTime';
import { photoPairs } from '@core/closing/photoPairs';
import type { ProjectRows } from '@core/model/rows';
import type { Plan } from '@core/plan/computePlan';
import { clientSheetOf } from '@core/sheets/clientSheetOf';

/** What whoever made a link lets it show, and until when. */
export interface LinkShows {
  showsCosts: boolean;
  showsPhotos: boolean;
  expiresAt: Date;
}

/** The photos that a link shows: those of the room as it is now, each with the one before. */
export const shownPhotos = (rows: ProjectRows, { showsPhotos }: Pick<LinkShows, 'showsPhotos'>): SheetAnswer['room'] =>
  showsPhotos
    ? photoPairs(rows.photos).map(({ before, after }) => ({ before: before?.id ?? null, after: after.id }))
    : [];

/** What a link shows of a project: the client's sheet, with what each spot looks like. */
export function sheetOf(plan: Plan, link: LinkShows): SheetAnswer {
  const { rows, asOfMs } = plan;
  const pictures = rows.spots.flatMap((spot) => {
    const picture = spotSummary(plan, spot);
    if (!picture) return [];
    const things = picture.things.map((thing) => ({ ...thing, colors: { ...thing.colors } }));
    return [[spot.id, { ...picture, things }] as const];
  });
  return {
    untilMs: link.expiresAt.getTime(),
    today: localDate(asOfMs, rows.project.timeZone),
    sheet: clientSheetOf(plan, link),
    room: shownPhotos(rows, link),
    pictures: Object.fromEntries(pictures),
  };
}
