import type {
  FitAnswer,
  HousePanelsAnswer,
  PiecePageAnswer,
  PieceQuery,
  RiserAnswer,
  RiserQuery,
} from '@contract/house';
import { localDate } from '@core/calendar/zonedTime';
import { ciede2000 } from '@core/color/ciede2000';
import { labFromHex } from '@core/color/lab';
import type { FileLocale } from '@core/formats/house/column';
import type { HouseTable } from '@core/formats/house/planImport';
import { piecesCsv, pricesCsv, suppliesCsv } from '@core/formats/house/write';
import { MS_PER_DAY } from '@core/kernel/units';
import { mostOf } from '@core/model/finds';
import { fitNeed } from '@core/sourcing/fitNeed';
import { explainFit, rankPieces, SLEEPS_AFTER_DAYS } from '@core/sourcing/fitRanking';
import { type Placement, placementClash } from '@core/sourcing/placements';
import { riserCombinations } from '@core/sourcing/risers';
import { allPieces, boxCounts, houseCounts, pieceColors, piecePage, piecesById, risersOf } from '../persistence/pieces';
import { placements } from '../persistence/placements';
import { projectSummaries } from '../persistence/projects';
import type { Transaction } from '../persistence/scope';
import { houseRows, slotForRanking } from '../persistence/snapshots';
import { studioTimeZone } from '../persistence/studios';
import type { KnownPieces } from './knownPieces';

/** Colors within this ΔE00 count as near when nothing else is asked for. */
const NEAR = 15;
/** Combinations of risers that are worth showing. */
const MOST_COMBINATIONS = 24;

/** The local date of a moment in UTC, some days before it. */
const dateBefore = (nowMs: number, days: number, timeZone: string): string =>
  localDate(nowMs - days * MS_PER_DAY, timeZone);

/** A page of the stash as a query finds it; near a color, the nearest come first. */
export async function searchPieces(
  transaction: Transaction,
  query: PieceQuery,
  page: { limit: number; offset: number },
): Promise<PiecePageAnswer> {
  let found: { total: number; pieces: PiecePageAnswer['pieces'] };
  if (query.near === undefined) found = await piecePage(transaction, query, page.limit, page.offset);
  else {
    const wanted = labFromHex(`#${query.near}`);
    const within = query.within ?? NEAR;
    const near = (await pieceColors(transaction, query))
      .map(({ id, color, accent }) => ({
        id,
        distance: Math.min(ciede2000(color, wanted), accent ? ciede2000(accent, wanted) : Number.POSITIVE_INFINITY),
      }))
      .filter(({ distance }) => distance <= within)
      .sort((a, b) => a.distance - b.distance || (a.id < b.id ? -1 : 1));
    const ids = near.slice(page.offset, page.offset + page.limit).map((entry) => entry.id);
    found = { total: near.length, pieces: await piecesById(transaction, ids) };
  }
  const ids = found.pieces.map((piece) => piece.id);
  return { ...found, offset: page.offset, placements: ids.length > 0 ? await placements(transaction, ids) : [] };
}

/**
 * The stash ranked for a slot of a project, with the reasons of the page that is shown; null when there is no such
 * slot. What is promised elsewhere on the dates comes last.
 */
export async function rankForSlot(
  transaction: Transaction,
  known: KnownPieces,
  projectId: string,
  slotId: string,
  page: { limit: number; offset: number },
  nowMs: number,
): Promise<FitAnswer | null> {
  const [asked, ranked, promised] = await Promise.all([
    slotForRanking(transaction, projectId, slotId),
    known.ranked(transaction),
    placements(transaction),
  ]);
  if (!asked) return null;
  const { slot } = asked;
  const need = fitNeed(asked, slot, dateBefore(nowMs, 0, asked.project.timeZone));
  const byPiece = new Map<string, Placement[]>();
  for (const placement of promised)
    byPiece.set(placement.pieceId, [...(byPiece.get(placement.pieceId) ?? []), placement]);
  const wanted = (pieceId: string): Placement => ({
    pieceId,
    projectId,
    projectName: asked.project.name,
    placeId: slotId,
    slotNumber: slot.number,
    placeName: slot.name,
    count: 1,
    from: need.from,
    until: need.until,
  });
  const taken = new Set<string>();
  for (const [pieceId, there] of byPiece) {
    const piece = ranked.find(pieceId);
    if (piece && placementClash(wanted(pieceId), there, mostOf(piece)).length > 0) taken.add(pieceId);
  }
  const shown = rankPieces(need, ranked, taken, page.offset + page.limit).slice(page.offset);
  const whole = new Map(
    (
      await piecesById(
        transaction,
        shown.map(({ piece }) => piece.id),
      )
    ).map((row) => [row.id, row]),
  );
  return {
    total: ranked.pieces.length,
    free: ranked.pieces.length - taken.size,
    offset: page.offset,
    fits: shown.flatMap(({ piece, score, free, fits }) => {
      const row = whole.get(piece.id);
      return row
        ? [
            {
              piece: row,
              score,
              free,
              fits,
              reasons: explainFit(need, piece).reasons,
              placements: byPiece.get(piece.id) ?? [],
            },
          ]
        : [];
    }),
  };
}

/** Which owned risers, one to five, make up a missing height. */
export async function findRisers(transaction: Transaction, request: RiserQuery): Promise<RiserAnswer> {
  const risers = await risersOf(transaction);
  const byId = new Map(risers.map((riser) => [riser.id, riser]));
  const found = riserCombinations(request.gapMm, request.toleranceMm, risers, {
    widthMm: request.widthMm ?? null,
    depthMm: request.depthMm ?? null,
    outline: request.outline ?? 'unknown',
    weightG: request.weightG ?? null,
  });
  return {
    risers: risers.length,
    combinations: found.slice(0, MOST_COMBINATIONS).map(({ ids, ...more }) => ({
      ...more,
      pieces: ids.map((id) => {
        const riser = byId.get(id);
        return { id, name: riser?.name ?? '', heightMm: riser?.heightMm ?? 0 };
      }),
    })),
  };
}

/** The small panels: what there is, what sleeps, what goes back, what all projects need, how much was owned. */
export async function housePanels(transaction: Transaction, nowMs: number): Promise<HousePanelsAnswer> {
  const asleepSince = dateBefore(nowMs, SLEEPS_AFTER_DAYS, await studioTimeZone(transaction));
  const counts = await houseCounts(transaction, asleepSince);
  const sleepers = await piecePage(transaction, { unusedSince: asleepSince, sort: 'sleeping' }, 12, 0);
  const borrowed = await piecePage(transaction, { only: 'borrowed', sort: 'name' }, 100, 0);
  const projects = await projectSummaries(transaction);
  return {
    pieces: counts.pieces,
    things: counts.things,
    unsorted: counts.unsorted,
    value: counts.value.map(({ currency, value }) => ({ currency, value })),
    sleeping: {
      count: counts.sleeping,
      value: counts.value.map(({ currency, sleeping }) => ({ currency, value: sleeping })),
      pieces: sleepers.pieces,
    },
    borrowed: borrowed.pieces.sort((a, b) => (a.backBy ?? '9').localeCompare(b.backBy ?? '9')),
    boxes: await boxCounts(transaction),
    needs: projects.flatMap(({ id, name, summary }) =>
      summary.supplies.map((supply) => ({ projectId: id, projectName: name, ...supply })),
    ),
    owned: projects
      .filter(({ summary }) => summary.owned.filled > 0)
      .map(({ id, name, currency, summary }) => ({ projectId: id, projectName: name, currency, ...summary.owned })),
  };
}

/** A table of the house as CSV. */
export async function houseFile(transaction: Transaction, kind: HouseTable, locale: FileLocale): Promise<string> {
  switch (kind) {
    case 'pieces':
      return piecesCsv(await allPieces(transaction), locale);
    case 'supplies':
      return suppliesCsv(await houseRows(transaction, []), locale);
    case 'prices':
      return pricesCsv(await houseRows(transaction, []), locale);
    default:
      return kind satisfies never;
  }
}
