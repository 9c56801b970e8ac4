import type { FourPoints } from '@core/arrange/photo/homography';
import type { PhotoPlane } from '@core/model/entities/look';
import type { PhotoRow } from '@core/model/rows';
import type { PhotoPoint } from '@core/model/values/photoPoint';
import type { PointerEvent } from 'react';
import { arrowWay } from '../../ui/arrowWay';
import styles from './photo.module.css';

const cornerNames = ['upper left', 'upper right', 'lower right', 'lower left'] as const;
/** The corners of a rectangle with one of them somewhere else. */
export const withCorner = (corners: PhotoPlane['corners'], n: number, to: PhotoPoint): PhotoPlane['corners'] => {
  const [a, b, c, d] = corners.map((corner, k) => (k === n ? to : corner));
  return a && b && c && d ? [a, b, c, d] : corners;
};

/** The four corners on the picture: dragged, or moved by a pixel with the arrow keys, by ten with shift. */
export function PhotoCorners(props: {
  plane: PhotoPlane;
  photo: PhotoRow;
  /** Where they are shown, px: one may be in the hand. */
  shown: FourPoints;
  /** About a pixel of the screen, in pixels of the picture. */
  unit: number;
  onDown: (n: number, event: PointerEvent) => void;
  onMove: (corners: PhotoPlane['corners']) => void;
}) {
  const { plane, photo, shown, unit } = props;
  return (
    <>
      <polygon
        className={styles.plane}
        points={shown.map((corner) => corner.join(',')).join(' ')}
        strokeWidth={1.5 * unit}
        strokeDasharray={`${6 * unit} ${4 * unit}`}
      />
      {shown.map(([x, y], n) => (
        // biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside a drawing
        <circle
          key={cornerNames[n]}
          className={styles.corner}
          role="button"
          tabIndex={0}
          aria-label={`Corner ${cornerNames[n]}`}
          cx={x}
          cy={y}
          r={11 * unit}
          strokeWidth={2 * unit}
          onPointerDown={(event) => props.onDown(n, event)}
          onKeyDown={(event) => {
            const way = arrowWay(event.key);
            const corner = plane.corners[n];
            if (!way || !corner) return;
            event.preventDefault();
            const by = event.shiftKey ? 10 : 1;
            props.onMove(
              withCorner(plane.corners, n, {
                x: corner.x + (way[0] * by) / photo.widthPx,
                y: corner.y + (way[1] * by) / photo.heightPx,
              }),
            );
          }}
        />
      ))}
    </>
  );
}
