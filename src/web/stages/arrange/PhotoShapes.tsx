import type { PhotoShape } from '@core/arrange/photo/photoShapes';
import { hexFromLab } from '@core/color/lab';
import type { Outline } from '@core/surface/outline';
import { useCutOut } from '../../app/cutOut/useCutOut';

const pathOf = (rings: Outline): string =>
  rings.map((ring) => `M${ring.map((point) => point.join(' ')).join('L')}Z`).join('');

/** The pieces of a look over the picture of their room. */
export function PhotoShapes(props: { shapes: readonly PhotoShape[] }) {
  return props.shapes.map((shape, n) => <OneShape key={n} shape={shape} />);
}

function OneShape({ shape }: { shape: PhotoShape }) {
  switch (shape.kind) {
    case 'line':
      return (
        <polyline
          points={shape.points.map((point) => point.join(',')).join(' ')}
          fill="none"
          stroke={hexFromLab(shape.color)}
          strokeWidth={shape.widthPx}
        />
      );
    case 'shadow':
      return <path d={pathOf(shape.rings)} opacity={0.28} style={{ filter: `blur(${shape.widthPx}px)` }} />;
    case 'fill':
      return (
        <path
          d={pathOf(shape.rings)}
          fill={hexFromLab(shape.color)}
          fillRule="evenodd"
          stroke={shape.widthPx > 0 ? 'var(--ink)' : 'none'}
          strokeWidth={shape.widthPx}
        />
      );
    case 'picture':
      return <CutCells shape={shape} />;
  }
}

/** A cut picture in perspective, part by part; nothing while it is made. */
function CutCells(props: { shape: Extract<PhotoShape, { kind: 'picture' }> }) {
  const { picture, cells } = props.shape;
  const address = useCutOut(picture);
  if (address === null) return null;
  return cells.map(({ x, y, width, height, matrix }) => (
    <g key={`${x} ${y}`} transform={`matrix(${matrix.join(' ')})`}>
      <svg
        x={x}
        y={y}
        width={width}
        height={height}
        viewBox={`${x} ${y} ${width} ${height}`}
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <image href={address} width={1} height={1} preserveAspectRatio="none" />
      </svg>
    </g>
  ));
}
