import { lookRoom } from '@core/arrange/look/lookRoom';
import type { LookThing } from '@core/arrange/look/lookThing';
import { cornersOf } from '@core/arrange/photo/photoMap';
import { photoShapes } from '@core/arrange/photo/photoShapes';
import { roomCamera } from '@core/arrange/photo/roomCamera';
import type { PhotoPlane } from '@core/model/entities/look';
import type { LookRow, PhotoRow, SpotRow } from '@core/model/rows';
import type { PhotoPoint } from '@core/model/values/photoPoint';
import { Button } from 'antd';
import { type PointerEvent, useMemo, useRef, useState } from 'react';
import { useCommands } from '../../app/projectStore';
import { fileName, saveBlob } from '../../app/saveFile';
import { later } from '../../ui/later';
import { photoAddress } from '../../ui/photoAddress';
import { Slide } from '../../ui/Slide';
import { PhotoCorners, withCorner } from './PhotoCorners';
import { PhotoShapes } from './PhotoShapes';
import styles from './photo.module.css';
import { composedPhoto } from './savePhoto';
import layout from './side.module.css';
import { useRecolored } from './useRecolored';

// The picture is there first, what is set beside it after that.
const PhotoPlanePanel = later(async () => (await import('./PhotoPlanePanel')).PhotoPlanePanel);
const MarkPieces = later(async () => (await import('./MarkPieces')).MarkPieces);

/** A share of the picture, a little beyond its edges at the most. */
const clamped = (share: number) => Math.min(2, Math.max(-1, share));

/** The picture with the look in it: four corners of something whose size is known, before and planned, saved in full. */
export function PhotoWork(props: {
  look: LookRow;
  spot: SpotRow;
  plane: PhotoPlane;
  photo: PhotoRow;
  things: readonly LookThing[];
  /** Whether nobody has moved its corners yet. */
  isNew: boolean;
}) {
  const { look, spot, plane, photo, things } = props;
  const { run } = useCommands();
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ n: number; to: PhotoPoint } | null>(null);
  const [share, setShare] = useState(100);
  const [points, setPoints] = useState<readonly PhotoPoint[] | null>(null);
  const [showsCorners, setShowsCorners] = useState(props.isNew);
  const [problem, setProblem] = useState('');
  const [isSaving, setIsSaving] = useState(false);
  const { widthPx, heightPx } = photo;
  const shownPlane = useMemo<PhotoPlane>(
    () => (held ? { ...plane, corners: withCorner(plane.corners, held.n, held.to) } : plane),
    [plane, held],
  );
  const room = lookRoom(spot);
  const camera = useMemo(() => roomCamera(shownPlane, photo), [shownPlane, photo]);
  const shapes = useMemo(
    () => (camera ? photoShapes(things, camera, room.depthMm) : []),
    [things, camera, room.depthMm],
  );
  const recolored = useRecolored(photo, plane.recolored);
  const set = (change: Partial<PhotoPlane>) =>
    run('editLook', { id: look.id, values: { photo: { ...plane, ...change } } });
  const at = ({ clientX, clientY }: Pick<PointerEvent, 'clientX' | 'clientY'>): PhotoPoint => {
    // The picture may have room beside it: the drawing itself knows where it is on the screen.
    const back = svg.current?.getScreenCTM()?.inverse();
    if (!back) return { x: 0, y: 0 };
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(back);
    return { x: clamped(x / widthPx), y: clamped(y / heightPx) };
  };
  const save = async () => {
    setProblem('');
    setIsSaving(true);
    try {
      saveBlob(`${fileName(`${spot.name} ${look.name}`)}.png`, await composedPhoto(photo, plane, things, room.depthMm));
    } catch {
      setProblem(
        'The picture could not be made here: it is still on its way, or the browser has no room for it. Try again.',
      );
    } finally {
      setIsSaving(false);
    }
  };
  const edge = Math.max(widthPx, heightPx) / 700;
  return (
    <div className={layout.work}>
      <div className={layout.main}>
        {/* biome-ignore lint/a11y/useSemanticElements: a fieldset cannot be drawn in */}
        <svg
          ref={svg}
          className={styles.picture}
          viewBox={`0 0 ${widthPx} ${heightPx}`}
          role="group"
          aria-label={`${spot.name} in its picture`}
          onPointerDown={(event) => {
            if (points) setPoints([...points, at(event)]);
          }}
          onPointerMove={(event) => {
            if (held) setHeld({ n: held.n, to: at(event) });
          }}
          onPointerUp={() => {
            if (held) set({ corners: shownPlane.corners });
            setHeld(null);
          }}
          onPointerCancel={() => setHeld(null)}
        >
          <image href={photoAddress(photo.id, 'full')} width={widthPx} height={heightPx} />
          <clipPath id="planned">
            <rect width={(widthPx * share) / 100} height={heightPx} />
          </clipPath>
          <g clipPath="url(#planned)">
            {recolored && <image href={recolored} width={widthPx} height={heightPx} />}
            <PhotoShapes shapes={shapes} />
          </g>
          {share < 100 && (
            <line
              className={styles.divide}
              x1={(widthPx * share) / 100}
              x2={(widthPx * share) / 100}
              y1={0}
              y2={heightPx}
              strokeWidth={2 * edge}
            />
          )}
          {points ? (
            <polyline
              className={styles.mark}
              points={points.map(({ x, y }) => `${x * widthPx},${y * heightPx}`).join(' ')}
              strokeWidth={2 * edge}
            />
          ) : showsCorners ? (
            <PhotoCorners
              plane={plane}
              photo={photo}
              shown={cornersOf(shownPlane, photo)}
              unit={edge}
              onDown={(n, event) => {
                svg.current?.setPointerCapture(event.pointerId);
                setHeld({ n, to: at(event) });
              }}
              onMove={(corners) => set({ corners })}
            />
          ) : null}
        </svg>
        <div className={styles.slide}>
          <span id="slide-label">Before</span>
          <Slide
            min={0}
            max={100}
            value={share}
            onChange={setShare}
            ariaLabelledByForHandle="slide-label"
            tooltip={{ open: false }}
          />
          <span>Planned</span>
        </div>
      </div>
      <aside className={layout.aside} aria-label="The wall in the picture">
        <PhotoPlanePanel
          plane={plane}
          photo={photo}
          spot={spot}
          room={room}
          camera={camera}
          showsCorners={showsCorners}
          onShowCorners={setShowsCorners}
          onChange={(change) => set(change)}
        />
        <MarkPieces
          plane={plane}
          things={things}
          points={points}
          onBegin={() => setPoints([])}
          onCancel={() => setPoints(null)}
          onMark={(recoloredNow) => {
            set({ recolored: recoloredNow });
            setPoints(null);
          }}
        />
        <section className={layout.panel}>
          <Button type="primary" loading={isSaving} onClick={() => void save()}>
            Save the picture (PNG, full size)
          </Button>{' '}
          <Button type="text" onClick={() => run('editLook', { id: look.id, values: { photo: null } })}>
            Another picture
          </Button>
          {problem && (
            <p role="alert" className={layout.danger}>
              {problem}
            </p>
          )}
        </section>
      </aside>
    </div>
  );
}
