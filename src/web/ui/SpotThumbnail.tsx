import type { ProjectSummary } from '@contract/answers';
import { labFromHex } from '@core/color/lab';
import { likenessAbove, likenesses, likenessFront } from '@core/surface/likenesses';
import { furnitureTemplates } from '@core/surface/templates';
import { aboveView, frontView } from '@core/surface/views';
import { ScaledDrawing } from './DrawnShapes';
import styles from './ui.module.css';

/** A spot in small, with what stands on it in the colors that it will have. Only a picture. */
export function SpotThumbnail(props: { spot: NonNullable<ProjectSummary['firstSpot']> }) {
  const { widthMm, highMm, isAbove, things } = props.spot;
  const unit = Math.max(widthMm / 260, highMm / 150);
  const beside = Math.max(10 * unit, (unit * 280 - widthMm) / 2);
  return (
    <svg
      className={styles.spotThumbnail}
      viewBox={`${-beside} ${-8 * unit} ${widthMm + 2 * beside} ${highMm + 20 * unit}`}
      aria-hidden="true"
    >
      {!isAbove && (
        <rect className={styles.spotSurface} x={0} y={highMm} width={widthMm} height={7 * unit} strokeWidth={unit} />
      )}
      {things.map(({ templateId, likenessId, measures, xMm, upMm, widthMm: wide, highMm: high, colors }, n) => {
        const likeness = likenesses.find(({ id }) => id === likenessId);
        const template = templateId === null ? undefined : furnitureTemplates.find(templateId);
        const drawing = likeness
          ? isAbove
            ? likenessAbove(likeness, wide, high)
            : likenessFront(likeness, wide, high)
          : template && (isAbove ? aboveView(template, measures) : frontView(template, measures));
        return (
          <g key={n} transform={`translate(${xMm} ${highMm - upMm - high})`}>
            {drawing ? (
              <ScaledDrawing
                drawing={drawing}
                widthMm={wide}
                heightMm={high}
                colorOf={(zoneId) => (colors[zoneId] === undefined ? null : labFromHex(colors[zoneId] ?? ''))}
                stroke={unit * 0.8}
              />
            ) : (
              <rect
                className={styles.spotOpen}
                width={wide}
                height={high}
                strokeWidth={unit}
                strokeDasharray={`${4 * unit} ${3 * unit}`}
              />
            )}
          </g>
        );
      })}
    </svg>
  );
}
