import { formatLength } from '@core/kernel/formatLength';
import type { PieceRow, SlotRow } from '@core/model/rows';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../app/api';
import { useHouse } from '../../app/houseStore';
import { LengthField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './house.module.css';

const TOLERANCE_MM = 15;

/** Too low? Wanted height less the piece's own is what owned books, boxes and pedestals can make up, one to five of them. */
export function Risers(props: { slot: SlotRow | null; piece: PieceRow | null }) {
  const { locale } = useHouse();
  const [wanted, setWanted] = useState<number | null>(
    props.slot?.height.minimumMm ?? props.slot?.height.maximumMm ?? null,
  );
  const [own, setOwn] = useState<number | null>(props.piece?.heightMm ?? null);
  const widthMm = props.piece?.widthMm ?? null;
  const depthMm = props.piece?.depthMm ?? null;
  const weightG = props.piece?.weightG ?? null;
  const outline = props.piece?.outline ?? 'unknown';
  const gapMm = wanted !== null && own !== null ? Math.round((wanted - own) * 100) / 100 : null;
  const query = useQuery({
    queryKey: ['house', 'pieces', 'risers', gapMm, widthMm, depthMm, weightG, outline],
    queryFn: () => api.risers({ gapMm: gapMm ?? 0, toleranceMm: TOLERANCE_MM, widthMm, depthMm, weightG, outline }),
    enabled: gapMm !== null && gapMm > 0,
    retry: false,
  });
  return (
    <section className={styles.risers} aria-label="Risers" id="risers">
      <h3>{props.piece ? `Raise ${props.piece.name}` : 'Too low? Raise it'}</h3>
      <SideBySide across={3}>
        <LengthField label="Wanted height" value={wanted} nullable units={locale.units} onCommit={setWanted} />
        <LengthField label="The piece’s own height" value={own} nullable units={locale.units} onCommit={setOwn} />
      </SideBySide>
      {gapMm === null ? (
        <p className="muted">
          Say both heights; books, boxes and stands of the house are tried alone and stacked, up to five.
        </p>
      ) : gapMm <= 0 ? (
        <p>It is tall enough as it is.</p>
      ) : query.isError ? (
        <p role="alert">{query.error.message}</p>
      ) : !query.data ? (
        <p className="muted">Looking …</p>
      ) : query.data.combinations.length === 0 ? (
        <p>
          Nothing of the {query.data.risers} risers in the house makes up {formatLength(gapMm, locale.units)}; what can
          be one is told by its role <i>riser</i> and its height.
        </p>
      ) : (
        <>
          <p>
            {formatLength(gapMm, locale.units)} to make up. Set a stack with something under it that does not slide, and
            the broader below; where children or pets pass, fix it or keep it low.
          </p>
          <ul>
            {query.data.combinations.slice(0, 8).map((combination) => (
              <li key={combination.pieces.map((piece) => piece.id).join()}>
                <b>{combination.pieces.map((piece) => piece.name).join(' under ')}</b>
                <small>
                  {formatLength(combination.heightMm, locale.units)}
                  {Math.abs(combination.offMm) < 1
                    ? ', just right'
                    : combination.offMm > 0
                      ? `, ${formatLength(combination.offMm, locale.units)} over`
                      : `, ${formatLength(-combination.offMm, locale.units)} under`}
                  {combination.loadKnown ? '' : ' · what it carries is not noted for all of it'}
                  {combination.slender ? ' · tall for its foot: easily knocked over' : ''}
                </small>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
