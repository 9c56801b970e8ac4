import type { Lab } from '@core/color/lab';
import type { UnitSystem } from '@core/kernel/units';
import type { Measures } from '@core/surface/furnitureTemplate';
import { later } from './later';

/** A piece as it is to be drawn. */
export interface DrawnPieceAsked {
  templateId: string;
  measures: Measures;
  /** What it is called: where its kind says no more than a box, it is drawn as that. */
  name?: string;
  colorOf: (zoneId: string) => Lab | null;
  /** What a screen reader says instead; an empty one leaves it out. */
  label: string;
  size: number;
  units?: UnitSystem;
  letters?: boolean;
  /** This zone carries a tape edge. */
  marked?: string | null | undefined;
}

const DrawnPiece = later(
  async () => (await import('./DrawnPiece')).DrawnPiece,
  ({ size }) => <svg width={size} height={size} aria-hidden="true" data-to-come />,
);

/**
 * A piece drawn to proportion from its measures, each zone in its color. What draws it comes after the page: its place is
 * kept until then.
 */
export function PieceDrawing(props: DrawnPieceAsked) {
  return <DrawnPiece {...props} />;
}
