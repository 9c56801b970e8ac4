import { pathData } from '@core/formats/cutting/writeSvg';
import type { ZonePlan } from '@core/recipe/zonePlans';
import { rectangleOutline, shifted } from '@core/surface/outline';
import { type Face, unroll } from '@core/surface/unroll';
import type { SheetDemand } from '@core/technique/sheetWork';
import styles from './cut.module.css';
import { PartButton } from './PartButton';

/** One face laid flat with the pieces that cover it; what is pressed here lights up on the sheet, and the other way round. */
export function FaceDrawing(props: {
  zone: ZonePlan;
  demand: SheetDemand;
  keyOf: (n: number) => string;
  numberOf: (key: string) => number | null;
  selected: string | null;
  onSelect: (key: string) => void;
}) {
  const faces = unroll(props.zone.zone.shape);
  return (
    <div className={styles.faces}>
      {faces.map((face) => (
        <OneFace key={face.id} face={face} {...props} />
      ))}
      {props.demand.pieces.map((piece, n) =>
        piece.onFace === null || !faces.some(({ id }) => id === piece.faceId) ? (
          <button
            key={props.keyOf(n)}
            type="button"
            className={styles.loose}
            aria-pressed={props.selected === props.keyOf(n)}
            onClick={() => props.onSelect(props.keyOf(n))}
          >
            {props.numberOf(props.keyOf(n)) ?? ''} {piece.name}
          </button>
        ) : null,
      )}
    </div>
  );
}

function OneFace(props: {
  face: Face;
  demand: SheetDemand;
  keyOf: (n: number) => string;
  numberOf: (key: string) => number | null;
  selected: string | null;
  onSelect: (key: string) => void;
}) {
  const { face } = props;
  const pieces = props.demand.pieces.flatMap((piece, n) =>
    piece.faceId === face.id && piece.onFace ? [{ piece, n, at: piece.onFace }] : [],
  );
  if (pieces.length === 0) return null;
  const left = Math.min(0, ...pieces.map(({ at }) => at.xMm));
  const top = Math.min(0, ...pieces.map(({ at }) => at.yMm));
  const right = Math.max(face.widthMm, ...pieces.map(({ at, piece }) => at.xMm + piece.widthMm));
  const bottom = Math.max(face.lengthMm, ...pieces.map(({ at, piece }) => at.yMm + piece.lengthMm));
  const most = Math.max(right - left, bottom - top);
  const stroke = most * 0.008;
  const outline = pathData(face.outline ?? rectangleOutline(0, 0, face.widthMm, face.lengthMm));
  return (
    <figure>
      <svg
        viewBox={`${left - stroke * 3} ${top - stroke * 3} ${right - left + stroke * 6} ${bottom - top + stroke * 6}`}
      >
        <title>{`${face.name}, laid flat`}</title>
        {pieces.map(({ piece, n, at }) => {
          const key = props.keyOf(n);
          const isSelected = props.selected === key;
          const size = Math.min(most * 0.09, piece.widthMm / 2.4, piece.lengthMm / 1.6);
          return (
            <PartButton
              key={key}
              label={`${props.numberOf(key) ?? ''}: ${piece.name}, where it goes`}
              isPressed={isSelected}
              onPress={() => props.onSelect(key)}
              onClick={() => props.onSelect(key)}
            >
              {piece.outline ? (
                <path
                  d={pathData(shifted(piece.outline, at.xMm, at.yMm))}
                  fill={isSelected ? 'var(--tape)' : 'var(--plaster)'}
                  stroke="var(--ink-2)"
                  strokeWidth={stroke}
                  strokeDasharray={`${stroke * 3} ${stroke * 2}`}
                />
              ) : (
                <rect
                  x={at.xMm}
                  y={at.yMm}
                  width={piece.widthMm}
                  height={piece.lengthMm}
                  fill={isSelected ? 'var(--tape)' : 'var(--plaster)'}
                  fillOpacity={0.75}
                  stroke="var(--ink-2)"
                  strokeWidth={stroke}
                  strokeDasharray={`${stroke * 3} ${stroke * 2}`}
                />
              )}
              {piece.lines && (
                <path
                  d={pathData(shifted(piece.lines, at.xMm, at.yMm))}
                  fill="none"
                  stroke="var(--ink-2)"
                  strokeWidth={stroke}
                />
              )}
              <text
                x={at.xMm + piece.widthMm / 2}
                y={at.yMm + piece.lengthMm / 2 + size * 0.35}
                fontSize={size}
                fontWeight={700}
                textAnchor="middle"
                fill="var(--ink)"
              >
                {props.numberOf(key) ?? ''}
              </text>
            </PartButton>
          );
        })}
        <path d={outline} fill="none" stroke="var(--ink)" strokeWidth={stroke * 1.5} pointerEvents="none" />
      </svg>
      <figcaption className="muted small">
        {face.name}
        {face.count > 1 ? `, ${face.count} alike` : ''}
      </figcaption>
    </figure>
  );
}
