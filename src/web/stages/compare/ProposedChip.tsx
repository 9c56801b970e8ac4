import { kindNames } from '../../app/optionWords';
import type { ToldWay } from '../../workers/proposals.worker';
import { ChipPicture, pictureOf } from './ChipPicture';
import remark from './remark.module.css';
import styles from './waysPage.module.css';

/** A way that is proposed: a chip that is struck out by a press, and taken again by another. */
export function ProposedChip(props: { way: ToldWay; isTaken: boolean; onTurn: () => void }) {
  const { way, isTaken, onTurn } = props;
  const { face, what, how, payload } = way;
  const id = `take-${face.optionId}`;
  return (
    <li className={styles.chip} data-taken={isTaken} style={{ '--edge': face.edge } as React.CSSProperties}>
      <label htmlFor={id}>
        <ChipPicture {...pictureOf(face)} />
        <span className={styles.kind}>
          <input id={id} type="checkbox" checked={isTaken} onChange={onTurn} /> {kindNames[payload.option.kind]}
        </span>
        <b>{what}</b>
        {how !== '' && <span className={styles.how}>{how}</span>}
        <span className={styles.cash}>
          {face.cash} <small>{face.stash}</small>
        </span>
        <span>{face.time}</span>
        <em className={remark.remark} data-tone={face.tone ?? undefined}>
          {face.remark}
        </em>
      </label>
    </li>
  );
}
