import styles from './house.module.css';

const sizes = {
  can: { x: 8, width: 44, top: 12 },
  aerosol: { x: 16, width: 28, top: 22 },
  bundle: { x: 8, width: 44, top: 30 },
} as const;

/** A can seen through: as full as it is, in its color. An unknown level is hatched; what is no can is a bundle. */
export function CanDrawing(props: { share: number | null; color: string | null; shape: keyof typeof sizes }) {
  const { share, color, shape } = props;
  const { x, width, top } = sizes[shape];
  const height = 74 - top;
  const level = height * (share ?? (shape === 'bundle' ? 1 : 0.5));
  const unknown = share === null && shape !== 'bundle';
  return (
    <svg viewBox="0 0 60 80" width={60} height={80} className={styles.canDrawing} aria-hidden="true">
      <defs>
        <pattern id="hatch" width="6" height="6" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
          <rect width="2" height="6" className={styles.hatch} />
        </pattern>
      </defs>
      {shape === 'aerosol' && <path d="M22 22 q0 -8 4 -10 v-6 h8 v6 q4 2 4 10 z" className={styles.canMetal} />}
      <rect x={x} y={top} width={width} height={height} className={styles.canBody} />
      <rect
        x={x}
        y={74 - level}
        width={width}
        height={level}
        fill={unknown ? 'url(#hatch)' : (color ?? 'var(--line)')}
      />
      <rect x={x} y={top} width={width} height={height} className={styles.canRim} />
      {shape === 'can' && <rect x={5} y={8} width={50} height={6} className={styles.canMetal} />}
      {shape === 'bundle' && <path d="M8 52 h44 M30 30 v44" className={styles.canRim} />}
    </svg>
  );
}
