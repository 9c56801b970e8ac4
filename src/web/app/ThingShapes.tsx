import { type ThingPicture, type ThingView, unitCutOut } from '@core/arrange/look/thingView';
import { ScaledDrawing } from '../ui/DrawnShapes';
import { useCutOut } from './cutOut/useCutOut';
import styles from './things.module.css';

/** What a thing looks like, from the upper left corner of its box, as wide and as high as it is there. */
export function ThingShapes(props: {
  view: ThingView;
  widthMm: number;
  heightMm: number;
  /** About a pixel, mm. */
  unit: number;
  /** Whether a box has a broken edge: nothing was found for it. */
  isOpen?: boolean;
}) {
  const { view, widthMm, heightMm, unit } = props;
  switch (view.kind) {
    case 'picture':
      return <CutPicture picture={view.picture} widthMm={widthMm} heightMm={heightMm} unit={unit} />;
    case 'drawing':
      return (
        <ScaledDrawing
          drawing={view.drawing}
          widthMm={widthMm}
          heightMm={heightMm}
          colorOf={view.colorOf}
          stroke={unit * 0.9}
        />
      );
    case 'box':
      return (
        <rect
          className={styles.plainBox}
          width={widthMm}
          height={heightMm}
          strokeWidth={unit}
          strokeDasharray={props.isOpen ? `${5 * unit} ${4 * unit}` : undefined}
        />
      );
  }
}

/** A piece cut out of its picture; its line alone until the picture is there. */
function CutPicture(props: { picture: ThingPicture; widthMm: number; heightMm: number; unit: number }) {
  const { picture, widthMm, heightMm, unit } = props;
  const address = useCutOut(picture);
  if (address !== null) return <image href={address} width={widthMm} height={heightMm} preserveAspectRatio="none" />;
  const path = unitCutOut(picture.rings)
    .map((ring) => `M${ring.map(([x, y]) => `${x * widthMm} ${y * heightMm}`).join('L')}Z`)
    .join('');
  return <path className={styles.plainBox} d={path} fillRule="evenodd" strokeWidth={unit} />;
}
