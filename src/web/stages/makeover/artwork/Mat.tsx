import { cutSoFar } from '@core/cutting/machine/cutSoFar';
import { boxOf } from '@core/surface/outline';
import type { Cutting } from '../../../workers/artwork.worker';
import styles from './artwork.module.css';

/** The mat with what is cut so far, the ways between dashed. */
export function Mat(props: { cutting: Cutting | null; widthMm: number; heightMm: number; cut: number }) {
  const { cutting, widthMm, cut } = props;
  const rings = cutting?.ok ? cutting.rings : [];
  const used = boxOf(rings);
  // Of a long roll only what is used is shown.
  const heightMm = Math.min(props.heightMm, Math.max(widthMm, (used?.bottom ?? 0) + 20));
  const room = widthMm * 0.03;
  const path = cutting?.ok ? cutting.path : null;
  const done = path ? cutSoFar(path, path.cutMm * cut) : [];
  const travels = (path?.cuts ?? []).map(({ points, ring }, n) => {
    const from = path?.cuts[n - 1]?.points.at(-1) ?? ([0, 0] as const);
    const to = points[0] ?? from;
    return { ring, d: `M${from.join(' ')}L${to.join(' ')}` };
  });
  const dOf = (points: readonly (readonly [number, number])[]) =>
    `M${points.map((point) => point.join(' ')).join('L')}`;
  return (
    <svg
      className={styles.mat}
      viewBox={`${-room} ${-room} ${widthMm + 2 * room} ${heightMm + 2 * room}`}
      role="img"
      aria-label="The mat with the way of the blade"
    >
      <rect
        x={0}
        y={0}
        width={widthMm}
        height={heightMm}
        fill="var(--plaster)"
        stroke="var(--ink-3)"
        strokeWidth={room * 0.08}
      />
      {rings.map((ring, n) => (
        <path key={n} d={`${dOf(ring)}Z`} fill="none" stroke="var(--line)" strokeWidth={room * 0.08} />
      ))}
      {travels.map(({ ring, d }) => (
        <path
          key={`t${ring}`}
          d={d}
          fill="none"
          stroke="var(--ink-3)"
          strokeWidth={room * 0.05}
          strokeDasharray={`${room * 0.3} ${room * 0.2}`}
        />
      ))}
      {done.map((shown, n) =>
        shown.length > 1 ? (
          <path
            key={`c${path?.cuts[n]?.ring}`}
            d={dOf(shown)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={room * 0.14}
            strokeLinejoin="round"
          />
        ) : null,
      )}
    </svg>
  );
}
