import { memo } from 'react';
import { type ChipFace, cashInParts } from '../../app/chipFace';
import { ChipPicture, pictureOf } from './ChipPicture';
import styles from './compare.module.css';
import remark from './remark.module.css';

/** An option as a paint chip: one press chooses it; "why" opens its reasons without choosing. */
export const Chip = memo(function Chip(
  props: ChipFace & {
    looked: boolean;
    /** Whether it is what its column is mostly for; another says what it is. */
    isUsual: boolean;
    onChoose: (optionId: string) => void;
    onWhy: (optionId: string) => void;
  },
) {
  const { optionId, kind, name, tone } = props;
  const { about, sum } = cashInParts(props.cash);
  const why = () => props.onWhy(optionId);
  return (
    <div
      className={`${styles.chip} ${props.isChosen ? styles.on : ''} ${props.looked ? styles.looked : ''}`}
      style={{ '--edge': props.edge } as React.CSSProperties}
    >
      <button
        type="button"
        className={styles.chipMain}
        aria-pressed={props.isChosen}
        disabled={props.isRefused}
        onClick={() => props.onChoose(optionId)}
        data-chip
        onKeyDown={(event) => {
          if (event.key === 'w') {
            event.preventDefault();
            why();
          }
        }}
      >
        <span className="visually-hidden">
          {kind}: {name}, cash added{' '}
        </span>
        <ChipPicture {...pictureOf(props)} />
        {!props.isUsual && (
          <span className={styles.mark} aria-hidden="true">
            {kind}
          </span>
        )}
        <span className={styles.way} aria-hidden="true">
          {kind} · {name}
        </span>
        <b>
          {about !== '' && <i>{about}</i>}
          {sum} {props.stash !== '' && <span>{props.stash}</span>}
        </b>
        {props.time}
        <em className={remark.remark} data-tone={tone ?? undefined}>
          {props.remark}
        </em>
      </button>
      <button type="button" className={styles.whyButton} onClick={why} aria-label={`Why: ${kind}, ${name}`}>
        why
      </button>
    </div>
  );
});
