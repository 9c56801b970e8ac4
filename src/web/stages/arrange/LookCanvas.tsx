import { hungThings } from '@core/arrange/hanging/hungThings';
import { lookRoom } from '@core/arrange/look/lookRoom';
import type { LookThing } from '@core/arrange/look/lookThing';
import { type Place, withPlaces } from '@core/arrange/look/settle';
import { reachBeyond } from '@core/arrange/look/thingSpace';
import { spotKindOf } from '@core/catalog/spotKinds';
import { formatLength } from '@core/kernel/formatLength';
import type { SpotRow } from '@core/model/rows';
import { Grid } from 'antd';
import { useCallback, useRef } from 'react';
import { useLocale } from '../../app/projectStore';
import { useLatest } from '../../app/useLatest';
import styles from './arrange.module.css';
import { Furniture } from './Furniture';
import { Lengths } from './Lengths';
import { ThingDrawing } from './ThingDrawing';
import { useLookDrag } from './useLookDrag';

/** The spot to scale with what stands and hangs in it: drag, let go, move by arrow keys. */
export function LookCanvas(props: {
  spot: SpotRow;
  things: readonly LookThing[];
  isAbove: boolean;
  /** Whether pieces show the color that they have now. */
  isPresent: boolean;
  baseMm: number;
  selectedId: string | null;
  troubledIds: ReadonlySet<string>;
  heights: readonly number[];
  onSelect: (id: string | null) => void;
  onPlaces: (places: readonly Place[]) => void;
  onRemove: (id: string) => void;
  /** What is in the hand, for whoever looks on: the checks. */
  onHeld: (places: readonly Place[]) => void;
}) {
  const { spot, things, isAbove, baseMm, selectedId } = props;
  const locale = useLocale();
  const kind = spotKindOf(spot.kind);
  const room = lookRoom(spot);
  const svg = useRef<SVGSVGElement>(null);
  const wide = Grid.useBreakpoint().md ?? true;
  const high = isAbove ? room.depthMm : room.heightMm;
  // What hangs down past the base, or above the top, as a curtain does, is seen whole.
  const { overMm: over, underMm: under } = reachBeyond(things, room, isAbove);
  const below = isAbove ? 0 : Math.max(Math.min(baseMm, room.heightMm * 0.28), under);
  const unit = Math.max(room.widthMm / (wide ? 720 : 300), (high + over + below) / (wide ? 500 : 330));
  const margin = 38 * unit;
  // The wall goes on beside the spot, as far as the picture is wide.
  const beside = Math.max(margin, (unit * (wide ? 830 : 330) - room.widthMm) / 2);
  const { drag, begin, move, end, cancel, onKey } = useLookDrag(svg, {
    things,
    room,
    isAbove,
    stepMm: locale.units === 'us' ? 25.4 : 10,
    shownWidthMm: room.widthMm + 2 * beside,
    heights: props.heights,
    onSelect: props.onSelect,
    onPlaces: props.onPlaces,
    onRemove: props.onRemove,
  });
  const shown = drag && drag.places.length > 0 ? withPlaces(things, drag.places) : things;
  const ordered = isAbove ? [...shown].sort((a, b) => a.box.topMm - b.box.topMm) : shown;
  const selected = shown.find(({ id }) => id === selectedId) ?? null;
  // Things are drawn anew only when they move: what they listen to stays the same function.
  const latest = useLatest({ begin, onKey, onSelect: props.onSelect });
  const onDown = useCallback<Parameters<typeof ThingDrawing>[0]['onDown']>((event, thing) => {
    latest.current.begin(event, thing);
  }, []);
  const onThingKey = useCallback<Parameters<typeof ThingDrawing>[0]['onKey']>((event, thing) => {
    latest.current.onKey(event, thing);
  }, []);
  const onFocus = useCallback((id: string) => latest.current.onSelect(id), []);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset cannot be drawn in
    <svg
      ref={svg}
      className={styles.wall}
      style={{ maxWidth: Math.round((room.widthMm + 2 * beside) / unit) }}
      viewBox={`${-beside} ${-margin / 2 - over} ${room.widthMm + 2 * beside} ${high + over + below + 1.5 * margin}`}
      role="group"
      aria-label={`${spot.name}, seen ${isAbove ? 'from above' : 'from the front'}`}
      onPointerDown={(event) => {
        if (event.target === event.currentTarget) props.onSelect(null);
      }}
      onPointerMove={(event) => {
        if (!drag) return;
        move(event);
        props.onHeld(drag.places);
      }}
      onPointerUp={() => {
        end();
        props.onHeld([]);
      }}
      onPointerCancel={() => {
        cancel();
        props.onHeld([]);
      }}
    >
      <Furniture
        kind={kind}
        spot={spot}
        room={room}
        isAbove={isAbove}
        belowMm={below}
        besideMm={isAbove ? 0 : beside}
        overMm={over}
        baseMm={baseMm}
        unit={unit}
      />
      {ordered.map((thing) => (
        <ThingDrawing
          key={thing.id}
          thing={thing}
          downFrom={high}
          isAbove={isAbove}
          isPresent={props.isPresent}
          unit={unit}
          units={locale.units}
          isSelected={thing.id === selectedId}
          isTroubled={props.troubledIds.has(thing.id)}
          onDown={onDown}
          onKey={onThingKey}
          onFocus={onFocus}
        />
      ))}
      {drag?.atX != null && (
        <line className={styles.snap} x1={drag.atX} x2={drag.atX} y1={0} y2={high} strokeWidth={unit} />
      )}
      {drag?.atY != null && (
        <line
          className={styles.snap}
          x1={0}
          x2={room.widthMm}
          y1={high - drag.atY}
          y2={high - drag.atY}
          strokeWidth={unit}
        />
      )}
      <Lengths
        room={room}
        isAbove={isAbove}
        belowMm={below}
        baseMm={baseMm}
        unit={unit}
        units={locale.units}
        selected={selected}
        nails={selected && !isAbove ? (hungThings(spot, [selected])[0]?.nails ?? []) : []}
        label={`${formatLength(room.widthMm, locale.units)}${spot.widthMm === null ? ', usual' : ''}`}
      />
    </svg>
  );
}
