import styles from './ui.module.css';

/** How far a work is, as a bar with its figure; without a share it only says that it goes on. */
export function WorkShare(props: {
  label: string;
  /** 0 to 1; null where nobody can tell. */
  share: number | null;
}) {
  const { share } = props;
  return (
    <span className={styles.workShare}>
      <progress aria-label={props.label} max={1} {...(share === null ? {} : { value: share })} />
      {share !== null && <small aria-hidden="true">{Math.round(share * 100)} %</small>}
    </span>
  );
}
