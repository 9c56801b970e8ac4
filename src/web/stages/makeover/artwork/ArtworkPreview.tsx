import type { ThinPlace } from '@core/artwork/artwork';
import { formatLength } from '@core/kernel/formatLength';
import { useLocale } from '../../../app/projectStore';
import styles from './artwork.module.css';

/** Colors of layers that have none of their own: ink on paper. */
const inks = ['#c9a15b', '#2f5d62', '#8c3b2f', '#5b6b3a', '#44506b', '#7a5a86'];

/** A drawing at scale, with the places that its film does not hold. */
export function ArtworkPreview(props: {
  widthMm: number;
  heightMm: number;
  layers: readonly { name: string; path: string; color?: string | null }[];
  thin: readonly ThinPlace[];
  label: string;
}) {
  const locale = useLocale();
  const { widthMm, heightMm, layers } = props;
  if (widthMm <= 0 || heightMm <= 0)
    return <div className={styles.empty}>Nothing to cut yet: type words, choose a shape or bring in a file.</div>;
  const room = Math.max(widthMm, heightMm) * 0.06;
  return (
    <figure className={styles.preview}>
      <svg
        viewBox={`${-room} ${-room} ${widthMm + 2 * room} ${heightMm + 2 * room}`}
        role="img"
        aria-label={props.label}
      >
        {layers.map(({ name, path, color }, n) => (
          <path
            key={`${n} ${name}`}
            d={path}
            fillRule="evenodd"
            fill={color ?? (/^#[0-9a-f]{6}$/.test(name) ? name : (inks[n % inks.length] ?? '#2f5d62'))}
            stroke="var(--ink)"
            strokeWidth={room * 0.03}
          />
        ))}
        {props.thin.map((place) => {
          const r = Math.max(place.widthMm, place.heightMm, room) * 0.6;
          return (
            <circle
              key={`${place.xMm} ${place.yMm}`}
              cx={place.xMm + place.widthMm / 2}
              cy={place.yMm + place.heightMm / 2}
              r={r}
              fill="none"
              stroke="var(--brick)"
              strokeWidth={room * 0.12}
            />
          );
        })}
      </svg>
      <figcaption className="muted small">
        {formatLength(widthMm, locale.units)} × {formatLength(heightMm, locale.units)}
      </figcaption>
    </figure>
  );
}
