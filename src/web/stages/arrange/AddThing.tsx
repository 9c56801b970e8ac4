import { allAdded } from '@core/arrange/look/addedThings';
import { describedPiece } from '@core/arrange/look/describedPiece';
import type { LookThing } from '@core/arrange/look/lookThing';
import { mostOf } from '@core/model/finds';
import type { LookPieceRow, LookRow, PieceRow, SpotRow } from '@core/model/rows';
import { placementClash } from '@core/sourcing/placements';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useDeferredValue, useState } from 'react';
import { api } from '../../app/api';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import { placementWords } from '../../app/words';
import { StitchedNumber } from '../../ui/basics';
import { Input } from '../../ui/input';
import { PieceFace } from '../../ui/PieceFace';
import styles from './arrange.module.css';

const MOST_SHOWN = 8;
/** Without a letter nobody knows what it is. */
const NAMES_SOMETHING = /\p{L}/u;

/** What can be put into the look: what its slots still call for, a piece of the house, or something described. */
export function AddThing(props: {
  spot: SpotRow;
  look: LookRow;
  things: readonly LookThing[];
  onAdded: (id: string) => void;
}) {
  const { spot, look, things } = props;
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState('');
  /** The furniture that came before its wall because something was put on the floor; null where nothing did. */
  const [floorOf, setFloorOf] = useState<string | null>(null);
  const asked = useDeferredValue(text.trim());
  const house = useQuery({
    queryKey: ['house', 'pieces', 'arrange', asked],
    queryFn: () => api.pieces({ words: asked, limit: MOST_SHOWN }),
    staleTime: 30_000,
    retry: false,
  });
  const isHere = ({ lookId }: LookPieceRow) => lookId === look.id;
  const add = (of: Partial<LookPieceRow>, along: readonly PieceRow[] = [], count = 1) => {
    const added = allAdded(plan, look, spot, things, of, count, () => crypto.randomUUID());
    run('placePieces', added, along);
    setFloorOf(added.floor ? (added.floor.carriers.find(isHere)?.name ?? spot.name) : null);
    const [first] = added.rows.length > 0 ? added.rows : (added.floor?.carriers ?? []).filter(isHere);
    if (first) props.onAdded(first.id);
  };
  const { project } = plan.rows;
  const wanted = (pieceId: string) => ({
    pieceId,
    projectId: project.id,
    projectName: project.name,
    placeId: spot.id,
    slotNumber: null,
    placeName: spot.name,
    count: 1 + things.filter((thing) => thing.placement.pieceId === pieceId).length,
    from: project.revealDate,
    until: project.standsUntil,
  });
  const missing = plan.rows.slots
    .filter(({ spotId, leftOut }) => spotId === spot.id && !leftOut)
    .flatMap((slot) => {
      const here = things.filter((thing) => thing.slot?.id === slot.id).length;
      const asks = Math.min(24, slot.quantity);
      return here >= asks ? [] : [{ slot, nth: here, left: asks - here }];
    });
  const describe = () => {
    // As it is typed now: what is searched for may still be a letter behind.
    const words = text.trim();
    if (words === '') return;
    if (!NAMES_SOMETHING.test(words)) {
      setProblem(`“${words}”: accepted is what it is, in words, such as blue vase, 12 in tall`);
      return;
    }
    setProblem('');
    const { of, count } = describedPiece(words, locale.currency, locale.units);
    add(of, [], count);
    setText('');
  };
  return (
    <section className={styles.panel} aria-label="Put in">
      <h3>Put in</h3>
      {missing.length > 0 && (
        <ul className={styles.addList} aria-label="What the sketch calls for">
          {missing.map(({ slot, nth, left }) => (
            <li key={slot.id}>
              <button type="button" aria-label={`Put in: ${slot.name}`} onClick={() => add({ slotId: slot.id, nth })}>
                <StitchedNumber>{slot.number}</StitchedNumber>
                {left > 1 ? `${left} × ${slot.name}` : slot.name}
              </button>
            </li>
          ))}
        </ul>
      )}
      <Input
        aria-label="A piece of the house, or anything else"
        placeholder="three birch branches, 30 in"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onPressEnter={describe}
        maxLength={120}
      />
      {problem !== '' && <p role="alert">{problem}</p>}
      {floorOf !== null && (
        <p role="status" className="small">
          {spot.name} shows its floor from now on: {floorOf} stands before its wall, and what stood on top stands on
          that.
        </p>
      )}
      {asked !== '' && (
        <p className={styles.fixes}>
          <Button size="small" onClick={describe}>
            Put in “{asked}” as something found or foraged
          </Button>
        </p>
      )}
      <ul className={styles.addList} aria-label="Pieces of the house">
        {(house.data?.pieces ?? []).slice(0, MOST_SHOWN).map((piece) => {
          const [rival] = placementClash(wanted(piece.id), house.data?.placements ?? [], mostOf(piece));
          const promised = rival === undefined ? '' : ` promised: ${placementWords(rival)}`;
          return (
            <li key={piece.id}>
              <button
                type="button"
                aria-label={`Put in: ${piece.name}${promised}`}
                disabled={rival !== undefined}
                onClick={() => add({ pieceId: piece.id }, [piece])}
              >
                <PieceFace piece={piece} size={32} />
                <span>
                  {piece.name}
                  {rival && <small className="muted">{promised}</small>}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
