import { baseHeightMm, isSeenFromAbove, lookRoom } from '@core/arrange/look/lookRoom';
import type { LookThing } from '@core/arrange/look/lookThing';
import { reachBeyond } from '@core/arrange/look/thingSpace';
import { thingView } from '@core/arrange/look/thingView';
import { spotKindOf } from '@core/catalog/spotKinds';
import type { SpotRow } from '@core/model/rows';
import type { Ref } from 'react';
import { ThingShapes } from '../../app/ThingShapes';
import { Furniture } from './Furniture';

/** A look as a picture: nothing in it is pressed. */
export function LookPicture(props: {
  spot: SpotRow;
  things: readonly LookThing[];
  label: string;
  className?: string | undefined;
  svgRef?: Ref<SVGSVGElement>;
}) {
  const { spot, things } = props;
  const isAbove = isSeenFromAbove(spot);
  const room = lookRoom(spot);
  const base = baseHeightMm(spot);
  const high = isAbove ? room.depthMm : room.heightMm;
  // The bare wall above all that stands is not shown whole.
  const tallest = Math.max(high * 0.4, ...things.map(({ box }) => box.topMm * 1.12));
  const { overMm: over, underMm: under } = reachBeyond(things, room, isAbove);
  const shown = isAbove ? high : Math.min(high + over, tallest);
  const below = isAbove ? 0 : Math.max(Math.min(base, shown * 0.25), under);
  const unit = Math.max(room.widthMm / 480, (shown + below) / 400);
  const margin = 14 * unit;
  const beside = isAbove ? margin : Math.max(margin, ((shown + below) * 1.1 - room.widthMm) / 2);
  const ordered = isAbove ? [...things].sort((a, b) => a.box.topMm - b.box.topMm) : things;
  return (
    <svg
      ref={props.svgRef}
      className={props.className}
      viewBox={`${-beside} ${high - shown - margin} ${room.widthMm + 2 * beside} ${shown + below + 2 * margin}`}
      role="img"
      aria-label={props.label}
    >
      <Furniture
        kind={spotKindOf(spot.kind)}
        spot={{ ...spot, features: spot.features.filter(({ kind }) => kind === 'board') }}
        room={room}
        isAbove={isAbove}
        belowMm={below}
        besideMm={isAbove ? 0 : beside}
        overMm={over}
        baseMm={base}
        unit={unit}
      />
      {ordered.map((thing) => {
        const { id, box, size } = thing;
        const top = high - (isAbove ? box.backMm : box.topMm);
        return (
          <g key={id} transform={`translate(${box.leftMm} ${top})`}>
            <ThingShapes
              view={thingView(thing, { isAbove, isPresent: false })}
              widthMm={size.widthMm}
              heightMm={isAbove ? size.depthMm : size.heightMm}
              unit={unit}
            />
          </g>
        );
      })}
    </svg>
  );
}
