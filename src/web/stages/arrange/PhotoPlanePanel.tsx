import type { LookRoom } from '@core/arrange/look/lookRoom';
import { reprojectionError } from '@core/arrange/photo/homography';
import { cornersOf, mmPerPixel, rectangleOf } from '@core/arrange/photo/photoMap';
import type { RoomCamera } from '@core/arrange/photo/roomCamera';
import { formatLength } from '@core/kernel/formatLength';
import type { PhotoPlane } from '@core/model/entities/look';
import type { PhotoRow, SpotRow } from '@core/model/rows';
import { Button, Checkbox } from 'antd';
import { useLocale } from '../../app/projectStore';
import { LengthField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import layout from './side.module.css';

/** How large the marked rectangle is and where it begins, and how well that tells where things are. */
export function PhotoPlanePanel(props: {
  plane: PhotoPlane;
  photo: PhotoRow;
  spot: SpotRow;
  room: LookRoom;
  camera: RoomCamera | null;
  showsCorners: boolean;
  onShowCorners: (shows: boolean) => void;
  onChange: (change: Partial<PhotoPlane>) => void;
}) {
  const { plane, photo, spot, room, camera, onChange } = props;
  const { units } = useLocale();
  const corners = cornersOf(plane, photo);
  const error = camera ? reprojectionError(camera.wall, rectangleOf(plane), corners) : 0;
  const worst = camera ? Math.max(...corners.map((corner) => mmPerPixel(camera.wall, corner) ?? 0)) : 0;
  return (
    <section className={layout.panel}>
      <h3>Four corners of something you know</h3>
      <p className="small">
        Drag them onto a rectangle on the wall: the spot’s own frame, a door, a picture. Then say how large it is and
        where it begins.
      </p>
      <p>
        <Checkbox checked={props.showsCorners} onChange={(event) => props.onShowCorners(event.target.checked)}>
          Show the corners
        </Checkbox>
      </p>
      <SideBySide across={2}>
        <LengthField
          label="It is wide"
          value={plane.widthMm}
          units={units}
          onCommit={(widthMm) => onChange({ widthMm })}
        />
        <LengthField
          label="It is high"
          value={plane.heightMm}
          units={units}
          onCommit={(heightMm) => onChange({ heightMm })}
        />
        <LengthField
          label="From the spot’s left end"
          value={plane.xMm}
          units={units}
          zero
          onCommit={(xMm) => onChange({ xMm })}
        />
        <LengthField
          label={`Above ${spot.name}`}
          value={plane.heightAtMm}
          units={units}
          zero
          onCommit={(heightAtMm) => onChange({ heightAtMm })}
        />
      </SideBySide>
      <Button
        size="small"
        onClick={() => onChange({ widthMm: room.widthMm, heightMm: room.heightMm, xMm: 0, heightAtMm: 0 })}
      >
        It is the spot’s own frame
      </Button>
      {camera === null ? (
        <p role="alert" className={layout.danger}>
          These are the corners of no rectangle: three lie almost in a line, or two have changed places. Drag each to
          its own corner, the upper left one to the upper left.
        </p>
      ) : (
        <p className="small muted">
          The corners are met within {error.toFixed(2)} px. A tap that is one pixel off moves things by up to{' '}
          {formatLength(worst, units)}.
        </p>
      )}
    </section>
  );
}
