import type { LookThing } from '@core/arrange/look/lookThing';
import { thingView } from '@core/arrange/look/thingView';
import { formatLength } from '@core/kernel/formatLength';
import type { UnitSystem } from '@core/kernel/units';
import { type KeyboardEvent, memo, type PointerEvent, useMemo } from 'react';
import { ThingShapes } from '../../app/ThingShapes';
import styles from './arrange.module.css';

/** Text cut to so many letters, with an ellipsis where it is cut. */
const fitted = (text: string, letters: number): string =>
  text.length <= letters ? text : `${text.slice(0, Math.max(2, letters - 1)).trimEnd()}…`;

/** What a thing is called for whoever does not see it: its name, size and place. */
function spoken({ name, size, placement, isFound }: LookThing, units: UnitSystem, isAbove: boolean): string {
  const length = (mm: number) => formatLength(mm, units);
  const up = isAbove ? `${length(placement.frontMm)} from the front edge` : `${length(placement.footMm)} up`;
  return `${name}, ${length(size.widthMm)} wide, ${length(size.heightMm)} tall, ${length(placement.xMm)} from the left, ${up}${isFound ? '' : ', not found yet'}`;
}

/** One thing of a look, drawn as it will be, at its true size; as a box with its name while nothing was found for it. */
export const ThingDrawing = memo(function ThingDrawing(props: {
  thing: LookThing;
  /** The height of the drawing in mm: y runs down in it. */
  downFrom: number;
  isAbove: boolean;
  isPresent: boolean;
  /** About a pixel, in mm. */
  unit: number;
  units: UnitSystem;
  isSelected: boolean;
  isTroubled: boolean;
  onDown: (event: PointerEvent<SVGElement>, thing: LookThing) => void;
  onKey: (event: KeyboardEvent<SVGElement>, thing: LookThing) => void;
  onFocus: (id: string) => void;
}) {
  const { thing, unit, isAbove, isPresent } = props;
  const { box, size } = thing;
  const wide = size.widthMm;
  const high = isAbove ? size.depthMm : size.heightMm;
  const top = props.downFrom - (isAbove ? box.backMm : box.topMm);
  const view = useMemo(() => thingView(thing, { isAbove, isPresent }), [thing, isAbove, isPresent]);
  return (
    <>
      {/* biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside a drawing */}
      <g
        role="button"
        tabIndex={0}
        data-thing={thing.id}
        aria-pressed={props.isSelected}
        aria-label={spoken(thing, props.units, isAbove)}
        className={`${styles.thing} ${props.isSelected ? styles.selected : ''} ${props.isTroubled ? styles.troubled : ''} ${thing.isFound ? '' : styles.open}`}
        transform={`translate(${box.leftMm} ${top})`}
        onPointerDown={(event) => props.onDown(event, thing)}
        onKeyDown={(event) => props.onKey(event, thing)}
        onFocus={() => props.onFocus(thing.id)}
      >
        <ThingShapes view={view} widthMm={wide} heightMm={high} unit={unit} isOpen />
        <rect className={styles.grip} width={wide} height={high} strokeWidth={2 * unit} rx={unit} />
      </g>
      {!thing.isFound && wide > 34 * unit && high > 14 * unit && (
        <text className={styles.boxName} x={box.leftMm + 5 * unit} y={top + 15 * unit} fontSize={11 * unit}>
          {fitted(thing.name, Math.floor((wide - 8 * unit) / (5.6 * unit)))}
        </text>
      )}
    </>
  );
});
