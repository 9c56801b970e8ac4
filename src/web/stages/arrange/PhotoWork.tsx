import { lookRoom } from '@core/arrange/look/lookRoom';
import type { LookThing } from '@core/arrange/look/lookThing';
import { reprojectionError } from '@core/arrange/photo/homography';
import { cornersOf, mmPerPixel, photoMap, rectangleOf } from '@core/arrange/photo/photoMap';
import { photoShapes } from '@core/arrange/photo/photoShapes';
import { hexFromLab } from '@core/color/lab';
import { formatLength } from '@core/kernel/formatLength';
import type { PhotoPlane } from '@core/model/entities/look';
import type { LookRow, PhotoRow, SpotRow } from '@core/model/rows';
import { Button, Slider } from 'antd';
import { transfer } from 'comlink';
import { type PointerEvent, useMemo, useRef, useState } from 'react';
import { useCommands, useLocale } from '../../app/projectStore';
import { fileName, saveBlob } from '../../app/saveFile';
import { LengthField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { photoAddress } from '../../ui/photoAddress';
import { MarkPieces } from './MarkPieces';
import styles from './photo.module.css';
import { photoWorker } from './photoWorker';
import layout from './side.module.css';
import { useRecolored } from './useRecolored';

const cornerNames = ['upper left', 'upper right', 'lower right', 'lower left'] as const;
const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The picture with the look in it: four corners of something whose size is known, before and planned, saved in full. */
export function PhotoWork(props: {
  look: LookRow;
  spot: SpotRow;
  plane: PhotoPlane;
  photo: PhotoRow;
  things: readonly LookThing[];
}) {
  const { look, spot, plane, photo, things } = props;
  const { units } = useLocale();
  const { run } = useCommands();
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ n: number; x: number; y: number } | null>(null);
  const [share, setShare] = useState(100);
  const [points, setPoints] = useState<readonly { x: number; y: number }[] | null>(null);
  const [problem, setProblem] = useState('');
  const [isSaving, setIsSaving] = useState(false);
  const { widthPx, heightPx } = photo;
  const shownPlane = useMemo<PhotoPlane>(
    () =>
      held
        ? { ...plane, corners: plane.corners.map((corner, n) => (n === held.n ? { x: held.x, y: held.y } : corner)) }
        : plane,
    [plane, held],
  );
  const map = useMemo(() => photoMap(shownPlane, photo), [shownPlane, photo]);
  const shapes = useMemo(() => (map ? photoShapes(things, map) : []), [things, map]);
  const recolored = useRecolored(photo, plane.recolored);
  const corners = cornersOf(shownPlane, photo);
  const room = lookRoom(spot);
  const set = (change: Partial<PhotoPlane>) =>
    run('editLook', { id: look.id, values: { photo: { ...plane, ...change } } });
  const at = (event: Pick<PointerEvent, 'clientX' | 'clientY'>) => {
    const box = svg.current?.getBoundingClientRect();
    return box
      ? { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height }
      : { x: 0, y: 0 };
  };
  const error = map ? reprojectionError(map, rectangleOf(shownPlane), corners) : null;
  const worst = map ? Math.max(...corners.map((corner) => mmPerPixel(map, corner) ?? 0)) : null;
  const save = async () => {
    setProblem('');
    setIsSaving(true);
    try {
      const answer = await fetch(photoAddress(photo.id, 'full'));
      const bitmap = await createImageBitmap(await answer.blob());
      const scale = bitmap.width / widthPx;
      const marks = plane.recolored.map(({ points: marked, lab }) => ({
        points: marked.map(({ x, y }) => [x * bitmap.width, y * bitmap.height] as const),
        lab,
      }));
      const full = map
        ? photoShapes(things, map).map((shape) => ({
            ...shape,
            points: shape.points.map(([x, y]) => [x * scale, y * scale] as const),
            widthPx: shape.widthPx * scale,
          }))
        : [];
      const blob = await photoWorker().compose(transfer(bitmap, [bitmap]), marks, full);
      saveBlob(`${fileName(`${spot.name} ${look.name}`)}.png`, blob);
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
            if (held) setHeld({ n: held.n, ...at(event) });
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
            {shapes.map(({ kind, points: line, color, widthPx: wide }, n) => {
              const path = line.map((point) => point.join(',')).join(' ');
              if (kind === 'line')
                return <polyline key={n} points={path} fill="none" stroke={hexFromLab(color)} strokeWidth={wide} />;
              return kind === 'shadow' ? (
                <polygon key={n} points={path} opacity={0.28} style={{ filter: `blur(${wide}px)` }} />
              ) : (
                <polygon
                  key={n}
                  points={path}
                  fill={hexFromLab(color)}
                  stroke={wide > 0 ? 'var(--ink)' : 'none'}
                  strokeWidth={wide}
                />
              );
            })}
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
          ) : (
            <>
              <polygon
                className={styles.plane}
                points={corners.map((corner) => corner.join(',')).join(' ')}
                strokeWidth={1.5 * edge}
                strokeDasharray={`${6 * edge} ${4 * edge}`}
              />
              {corners.map(([x, y], n) => (
                // biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside a drawing
                <circle
                  key={cornerNames[n]}
                  className={styles.corner}
                  role="button"
                  tabIndex={0}
                  aria-label={`Corner ${cornerNames[n]}`}
                  cx={x}
                  cy={y}
                  r={11 * edge}
                  strokeWidth={2 * edge}
                  onPointerDown={(event) => {
                    svg.current?.setPointerCapture(event.pointerId);
                    setHeld({ n, ...at(event) });
                  }}
                  onKeyDown={(event) => {
                    const way = arrows[event.key];
                    if (!way) return;
                    event.preventDefault();
                    const by = event.shiftKey ? 10 : 1;
                    set({
                      corners: plane.corners.map((corner, k) =>
                        k === n
                          ? { x: corner.x + (way[0] * by) / widthPx, y: corner.y + (way[1] * by) / heightPx }
                          : corner,
                      ),
                    });
                  }}
                />
              ))}
            </>
          )}
        </svg>
        <div className={styles.slide}>
          <span id="slide-label">Before</span>
          <Slider
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
        <section className={layout.panel}>
          <h3>Four corners of something you know</h3>
          <p className="small">
            Drag them onto a rectangle on the wall: the spot’s own frame, a door, a picture. Then say how large it is
            and where it begins.
          </p>
          <SideBySide across={2}>
            <LengthField
              label="It is wide"
              value={plane.widthMm}
              units={units}
              onCommit={(widthMm) => set({ widthMm })}
            />
            <LengthField
              label="It is high"
              value={plane.heightMm}
              units={units}
              onCommit={(heightMm) => set({ heightMm })}
            />
            <LengthField
              label="From the spot’s left end"
              value={plane.xMm}
              units={units}
              zero
              onCommit={(xMm) => set({ xMm })}
            />
            <LengthField
              label={`Above ${spot.name}`}
              value={plane.heightAtMm}
              units={units}
              zero
              onCommit={(heightAtMm) => set({ heightAtMm })}
            />
          </SideBySide>
          <Button
            size="small"
            onClick={() => set({ widthMm: room.widthMm, heightMm: room.heightMm, xMm: 0, heightAtMm: 0 })}
          >
            It is the spot’s own frame
          </Button>
          {map === null ? (
            <p role="alert" className={layout.danger}>
              Three of the corners lie in a line: drag them apart.
            </p>
          ) : (
            <p className="small muted">
              The corners are met within {(error ?? 0).toFixed(2)} px. A tap that is one pixel off moves things by up to{' '}
              {formatLength(worst ?? 0, units)}.
            </p>
          )}
        </section>
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
