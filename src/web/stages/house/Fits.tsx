import type { FitAnswer } from '@contract/house';
import { formatLength } from '@core/kernel/formatLength';
import { mostOf } from '@core/model/finds';
import type { PieceRow, ProjectRows, SlotRow } from '@core/model/rows';
import { starOf } from '@core/plan/starOf';
import { isElsewhere } from '@core/sourcing/placements';
import { keepPreviousData, useInfiniteQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { type KeyboardEvent, useRef, useState } from 'react';
import { api } from '../../app/api';
import { fillWithPiece } from '../../app/fillWithPiece';
import { notePieces, useHouse } from '../../app/houseStore';
import { useCommands, usePlan, useRows } from '../../app/projectStore';
import { useSearchState } from '../../app/useSearchState';
import { placementWords } from '../../app/words';
import { Empty, LinkButton, StitchedNumber } from '../../ui/basics';
import { PieceFace } from '../../ui/PieceFace';
import styles from './house.module.css';
import { Risers } from './Risers';
import { countWords, fitWords, placeOf, sizeOf } from './words';

const PAGE = 24;

/** The stash ranked for one slot after the other; one key stars the slot with a piece. */
export function Fits() {
  const plan = usePlan();
  const rows = useRows();
  const [search, update] = useSearchState();
  const slots = plan.slots.map((entry) => entry.slot);
  const openFirst = plan.slots.find((entry) => entry.open > 0)?.slot ?? slots[0] ?? null;
  const slot = slots.find((entry) => entry.id === search.get('slot')) ?? openFirst;
  const choose = (id: string) => update((next) => next.set('slot', id));
  if (!slot)
    return (
      <Empty title="No slots yet">
        <p>What fits is asked for a slot: sketch the spot first.</p>
        <LinkButton to={`/p/${rows.project.id}/sketch`}>To the sketch</LinkButton>
      </Empty>
    );
  return (
    <div className={styles.fitLayout}>
      <nav aria-label="Slots" className={styles.slots}>
        {[...rows.spots]
          .sort((a, b) => a.position - b.position)
          .map((spot) => (
            <section key={spot.id}>
              <h3>{spot.name}</h3>
              <ul>
                {plan.slots
                  .filter((entry) => entry.slot.spotId === spot.id)
                  .map(({ slot: entry, open }) => (
                    <li key={entry.id}>
                      <button type="button" aria-current={entry.id === slot.id} onClick={() => choose(entry.id)}>
                        <StitchedNumber>{entry.number}</StitchedNumber>
                        <span>
                          {entry.name}
                          <small>{stateOf(entry, open, starOf(rows, entry))}</small>
                        </span>
                      </button>
                    </li>
                  ))}
              </ul>
            </section>
          ))}
      </nav>
      <Ranked key={slot.id} slot={slot} project={rows.project.id} />
    </div>
  );
}

function stateOf(slot: SlotRow, open: number, ours: string | null): string {
  if (slot.leftOut) return 'left out';
  if (ours !== null) return `ours: ${ours}`;
  return open === 0 ? 'filled' : open < slot.quantity ? `${open} of ${slot.quantity} open` : 'open';
}

/** What a slot asks, in words. */
function askedWords(slot: SlotRow, units: 'us' | 'metric'): string {
  const size = (['width', 'depth', 'height'] as const).flatMap((direction) => {
    const { minimumMm, maximumMm } = slot[direction];
    const word = { width: 'wide', depth: 'deep', height: 'tall' }[direction];
    if (minimumMm === null && maximumMm === null) return [];
    if (minimumMm !== null && maximumMm !== null)
      return [`${formatLength(minimumMm, units, false)} to ${formatLength(maximumMm, units)} ${word}`];
    return maximumMm !== null
      ? [`at most ${formatLength(maximumMm, units)} ${word}`]
      : [`at least ${formatLength(minimumMm ?? 0, units)} ${word}`];
  });
  return [slot.quantity > 1 ? `${slot.quantity} of them` : '', slot.role ?? '', ...size]
    .filter((word) => word !== '')
    .join(' · ');
}

function Ranked(props: { slot: SlotRow; project: string }) {
  const { slot } = props;
  const house = useHouse();
  const rows = useRows();
  const { run } = useCommands();
  const { locale, pieceOf } = house;
  const client = useQueryClient();
  const list = useRef<HTMLUListElement>(null);
  const query = useInfiniteQuery({
    // A slot that changed asks anew.
    queryKey: ['house', 'fits', props.project, slot.id, slot.version],
    queryFn: async ({ pageParam }) => {
      const ranked = await api.fits(props.project, slot.id, { limit: PAGE, offset: pageParam });
      notePieces(
        client,
        ranked.fits.map((fit) => fit.piece),
      );
      return ranked;
    },
    initialPageParam: 0,
    getNextPageParam: (last: FitAnswer) =>
      last.offset + last.fits.length < last.total ? last.offset + last.fits.length : undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });
  const pages = query.data?.pages ?? [];
  const fits = pages.flatMap((page) => page.fits);
  /** The piece that is too low and shall be raised. */
  const [raised, setRaised] = useState<PieceRow | null>(null);
  const here = { projectId: rows.project.id, placeId: slot.id, slotNumber: slot.number };
  const filledBy = (pieceId: string) => fillCount(rows, slot, pieceId);
  const use = (fit: FitAnswer['fits'][number]) => {
    const piece = pieceOf(fit.piece.id) ?? fit.piece;
    const elsewhere = fit.placements
      .filter((placement) => isElsewhere(here, placement))
      .reduce((sum, placement) => sum + placement.count, 0);
    run('usePiece', fillWithPiece(rows, slot, piece, Math.max(1, mostOf(piece) - elsewhere), house.today), [piece]);
  };
  const onKey = (event: KeyboardEvent) => {
    const buttons = [...(list.current?.querySelectorAll<HTMLButtonElement>('[data-use]') ?? [])];
    const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step === 0) return;
    event.preventDefault();
    buttons[Math.max(0, Math.min(buttons.length - 1, at + step))]?.focus();
  };
  return (
    <div>
      <header className={styles.fitHead}>
        <StitchedNumber>{slot.number}</StitchedNumber>
        <div>
          <h2>{slot.name}</h2>
          <p className="muted">
            {askedWords(slot, locale.units) || 'nothing asked for yet'}
            {pages[0] ? ` · ${pages[0].free} of ${pages[0].total} pieces are free` : ''}
          </p>
        </div>
      </header>
      {query.isError && (
        <div role="alert" className={styles.trouble}>
          {query.error.message}{' '}
          <Button size="small" onClick={() => void query.refetch()}>
            Try again
          </Button>
        </div>
      )}
      {query.isPending && <p className="muted">Looking through the house …</p>}
      {pages[0]?.total === 0 && (
        <Empty title="Nothing noted in the house yet">
          <p>Note what is there under Pieces: a line each, or photos in a row.</p>
        </Empty>
      )}
      <ul className={styles.fits} aria-label="What fits" ref={list} onKeyDown={onKey}>
        {fits.map((fit, index) => {
          const piece = pieceOf(fit.piece.id) ?? fit.piece;
          const filled = filledBy(piece.id);
          const isFirstTooLarge = !fit.fits && fit.free && (fits[index - 1]?.fits ?? true);
          return (
            <li key={piece.id} data-free={fit.free || filled > 0}>
              {isFirstTooLarge && <h4 className={styles.apart}>Larger than there is room for</h4>}
              <span className={styles.face}>
                <PieceFace piece={piece} size={62} />
              </span>
              <div className={styles.fitText}>
                <h3>
                  {countWords(piece)}
                  {piece.name}
                </h3>
                <small className="muted">
                  {[sizeOf(piece, locale), placeOf(piece)].filter((word) => word !== '').join(' · ')}
                </small>
                <ul className={styles.reasons}>
                  {fit.reasons
                    .filter(
                      (reason) =>
                        !reason.code.endsWith('notAsked') &&
                        reason.code !== 'care.fine' &&
                        reason.code !== 'season.any',
                    )
                    .map((reason) => (
                      <li
                        key={reason.aspect}
                        data-mark={reason.score >= 0.8 ? 'yes' : reason.score >= 0.35 ? 'partly' : 'no'}
                      >
                        {fitWords(reason, locale)}
                      </li>
                    ))}
                </ul>
                {fit.reasons.some(
                  (reason) => reason.code === 'size.under' && reason.figures.direction === 'height',
                ) && (
                  <Button
                    size="small"
                    type="text"
                    aria-label={`Raise it: ${piece.name}`}
                    onClick={() => {
                      setRaised(piece);
                      document.getElementById('risers')?.scrollIntoView({ block: 'center' });
                    }}
                  >
                    Raise it
                  </Button>
                )}
                {!fit.free && filled === 0 && (
                  <p className={styles.promised}>
                    Promised:{' '}
                    {fit.placements
                      .filter((entry) => isElsewhere(here, entry))
                      .map(placementWords)
                      .join('; ')}
                  </p>
                )}
              </div>
              <div className={styles.fitScore}>
                <b>{Math.round(fit.score * 100)}</b>
                <small>of 100</small>
                {filled > 0 ? (
                  <span className={styles.chosen}>fills {filled === 1 ? 'this' : filled}</span>
                ) : (
                  <Button
                    data-use
                    size="small"
                    disabled={!fit.free}
                    aria-label={`Use it: ${piece.name} for slot ${slot.number}`}
                    onClick={() => use(fit)}
                  >
                    Use it
                  </Button>
                )}
              </div>
            </li>
          );
        })}
      </ul>
      {query.hasNextPage && (
        <Button onClick={() => void query.fetchNextPage()} loading={query.isFetchingNextPage}>
          Show more
        </Button>
      )}
      <Risers key={raised?.id ?? 'any'} slot={slot} piece={raised} />
    </div>
  );
}

/** How many of a slot a piece of the house fills now. */
function fillCount(rows: ProjectRows, slot: SlotRow, pieceId: string): number {
  return rows.fills
    .filter((fill) => fill.slotId === slot.id)
    .filter((fill) =>
      rows.options
        .find((option) => option.id === fill.optionId)
        ?.parts.some((part) => rows.finds.some((find) => find.id === part.findId && find.pieceId === pieceId)),
    )
    .reduce((sum, fill) => sum + fill.count, 0);
}
