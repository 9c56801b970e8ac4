import type { Lab } from '@core/color/lab';
import { paletteFit } from '@core/color/paletteFit';
import { useRows } from './projectStore';

const words = {
  fits: 'goes with the palette',
  clashes: 'clashes with the palette as it is',
} as const;

/** Whether a color goes with the palette of the project; nothing where nobody said the color, or it does neither. */
export function PaletteFit(props: { color: Lab | null }) {
  const rows = useRows();
  if (!props.color) return null;
  const inPalette = new Set(rows.project.brief.palette.map(({ colorCardId }) => colorCardId));
  const fit = paletteFit(
    props.color,
    rows.colorCards.filter(({ id }) => inPalette.has(id)).map(({ lab }) => lab),
  );
  return fit ? (
    <small className="muted" data-fit={fit}>
      {words[fit]}
    </small>
  ) : null;
}
