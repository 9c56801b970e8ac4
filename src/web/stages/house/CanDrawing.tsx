import styles from './house.module.css';

/** A can seen through: as full as it is, in its color. An unknown level is hatched. */
export function CanDrawing(props: { share: number | null; color: string | null; aerosol: boolean }) {
  const { share, color, aerosol } = props;
  const top = aerosol ? 22 : 12;
  const height = 74 - top;
  const level = height * (share ?? 0.5);
  return (
    <svg viewBox="0 0 60 80" width={60} height={80} className={styles.canDrawing} aria-hidden="true">
      <defs>
        <pattern id="hatch" width="6" height="6" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
          <rect width="2" height="6" className={styles.hatch} />
        </pattern>
      </defs>
      {aerosol && <path d="M22 22 q0 -8 4 -10 v-6 h8 v6 q4 2 4 10 z" className={styles.canMetal} />}
      <rect x={aerosol ? 16 : 8} y={top} width={aerosol ? 28 : 44} height={height} className={styles.canBody} />
      <rect
        x={aerosol ? 16 : 8}
        y={74 - level}
        width={aerosol ? 28 : 44}
        height={level}
        fill={share === null ? 'url(#hatch)' : (color ?? 'var(--ink-3)')}
      />
      <rect x={aerosol ? 16 : 8} y={top} width={aerosol ? 28 : 44} height={height} className={styles.canRim} />
      {!aerosol && <rect x={5} y={8} width={50} height={6} className={styles.canMetal} />}
    </svg>
  );
}
