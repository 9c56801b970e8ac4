import type { PieceRow, ProjectRows, SpotRow } from '@core/model/rows';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '../../app/api';
import { useRows } from '../../app/projectStore';
import styles from './sketch.module.css';

/** What becomes of something that stands at a spot once the look is up. */
function fateOf(rows: ProjectRows, spot: SpotRow, piece: PieceRow): { words: string; isDisplaced: boolean } {
  const finds = new Set(rows.finds.filter((find) => find.pieceId === piece.id).map((find) => find.id));
  const options = new Map(rows.options.map((option) => [option.id, option]));
  const chosen = rows.fills.find((fill) =>
    options.get(fill.optionId)?.parts.some((part) => part.findId !== null && finds.has(part.findId)),
  );
  const slot = rows.slots.find(({ id }) => id === chosen?.slotId);
  if (!slot) return { words: 'not in this look: it needs another place', isDisplaced: true };
  const there = rows.spots.find(({ id }) => id === slot.spotId);
  return {
    words: there?.id === spot.id ? `stays, for ${slot.name}` : `moves to ${there?.name ?? ''}, for ${slot.name}`,
    isDisplaced: false,
  };
}

/** What of the house stands at a spot now: what the look displaces needs a place of its own. */
export function StandsHere(props: { spot: SpotRow }) {
  const { spot } = props;
  const rows = useRows();
  const query = useQuery({
    queryKey: ['house', 'pieces', 'standing', spot.name],
    queryFn: () => api.pieces({ standsAt: spot.name, sort: 'name', limit: 60, offset: 0 }),
  });
  const pieces = query.data?.pieces ?? [];
  if (pieces.length === 0) return null;
  const told = pieces.map((piece) => ({ piece, ...fateOf(rows, spot, piece) }));
  const displaced = told.filter(({ isDisplaced }) => isDisplaced).length;
  return (
    <div className={styles.details}>
      <details className={styles.standing}>
        <summary>
          Stands here now ({query.data?.total ?? pieces.length}){displaced > 0 ? `: ${displaced} not in this look` : ''}
        </summary>
        <ul>
          {told.map(({ piece, words }) => (
            <li key={piece.id}>
              <Link to={`../house?tab=pieces&piece=${piece.id}`}>{piece.name}</Link>{' '}
              <small className="muted">{words}</small>
            </li>
          ))}
        </ul>
      </details>
    </div>
  );
}
