import { asItIs, type PairedPhotos, photoPairs, photosOf } from '@core/closing/photoPairs';
import type { PhotoPair } from '@core/model/entities/photo';
import type { PhotoRow } from '@core/model/rows';
import { Button } from 'antd';
import { type PointerEvent, useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { usePhotoQueue } from '../../app/photoQueue';
import { useCommands, useRows } from '../../app/projectStore';
import { arrowWay } from '../../ui/arrowWay';
import { Choice } from '../../ui/Choice';
import { PhotoQueueDrop } from '../../ui/PhotoDrop';
import { photoAddress } from '../../ui/photoAddress';
import { Slide } from '../../ui/Slide';
import styles from './beforeAfter.module.css';
import wrap from './wrap.module.css';

/** After photos beside the before ones: lined up once, then pushed from one to the other; all of them on one sheet. */
export function BeforeAfter() {
  const { photos, project } = useRows();
  const queue = usePhotoQueue('after');
  const before = photosOf(photos, 'before');
  const pairs = photoPairs(photos);
  return (
    <div className={wrap.page}>
      <div className={styles.noPrint}>
        <PhotoQueueDrop
          label="Add after photos"
          hint="from where the before photo was taken, as high and as far away; drop them here, or take them with the phone"
          queue={queue}
        />
        {before.length === 0 && (
          <p className="muted">
            There is no before photo to hold them against. If one turns up, it is added in the{' '}
            <Link to="../brief">brief</Link>.
          </p>
        )}
        {pairs.length > 0 && before.length > 0 && (
          <p>
            <Button onClick={() => window.print()}>Print the sheet</Button>
          </p>
        )}
      </div>
      <header className={styles.sheetHead}>
        <h1>{project.name}</h1>
        <p>{project.room}</p>
      </header>
      {pairs.map((paired) => (
        <Pair key={paired.after.id} paired={paired} before={before} />
      ))}
    </div>
  );
}

/** One after photo with the before photo that it is held against. */
function Pair(props: { paired: PairedPhotos; before: readonly PhotoRow[] }) {
  const { before } = props;
  const { after: photo, before: beforeOf, pair } = props.paired;
  const { run } = useCommands();
  const [isLiningUp, setLiningUp] = useState(false);
  const name = photo.name || 'after';
  const keep = (next: PhotoPair) => run('pairPhotos', { afterId: photo.id, pair: next });
  return (
    <section className={styles.pair} aria-label={name}>
      {beforeOf && pair ? (
        isLiningUp ? (
          <LineUp
            photo={photo}
            before={beforeOf}
            pair={pair}
            onKeep={(next) => {
              keep(next);
              setLiningUp(false);
            }}
            onLeave={() => setLiningUp(false)}
          />
        ) : (
          <Pushed photo={photo} before={beforeOf} pair={pair} />
        )
      ) : (
        <img className={styles.alone} src={photoAddress(photo.id, 'full')} alt={`After: ${name}`} />
      )}
      <div className={`${wrap.acts} ${styles.noPrint}`}>
        {before.length > 1 && beforeOf && (
          <Choice
            label="Held against"
            value={beforeOf.id}
            options={before.map(({ id, name: of }, n) => ({ value: id, label: of || `before ${n + 1}` }))}
            onChange={(id) => keep(asItIs(id))}
          />
        )}
        {beforeOf && !isLiningUp && (
          <Button aria-label={`Line it up: ${name}`} onClick={() => setLiningUp(true)}>
            Line it up
          </Button>
        )}
        <Button type="text" aria-label={`Remove ${name}`} onClick={() => run('removePhoto', { id: photo.id })}>
          Remove
        </Button>
      </div>
    </section>
  );
}

/** How an after photo lies over its before photo, as a style says it. */
const placed = ({ xPercent, yPercent, zoom, turnDegrees }: PhotoPair) => ({
  transform: `translate(${xPercent}%, ${yPercent}%) rotate(${turnDegrees}deg) scale(${zoom})`,
});

const frameOf = ({ widthPx, heightPx }: PhotoRow) => ({ aspectRatio: `${widthPx} / ${heightPx}` });

/** The two pictures over each other, parted by an edge that is pushed; side by side on paper. */
function Pushed(props: { photo: PhotoRow; before: PhotoRow; pair: PhotoPair }) {
  const { photo, before, pair } = props;
  const [edge, setEdge] = useState(50);
  return (
    <>
      <div className={`${styles.frame} ${styles.noPrint}`} style={frameOf(before)}>
        <img className={styles.under} src={photoAddress(before.id, 'full')} alt="Before" />
        <div className={styles.over} style={{ clipPath: `inset(0 0 0 ${edge}%)` }}>
          <img src={photoAddress(photo.id, 'full')} alt="After" style={placed(pair)} />
        </div>
        <span className={styles.edge} style={{ left: `${edge}%` }} aria-hidden="true" />
        <span className={`${styles.tag} ${styles.left}`} aria-hidden="true">
          before
        </span>
        <span className={`${styles.tag} ${styles.right}`} aria-hidden="true">
          after
        </span>
      </div>
      <div className={styles.printed} aria-hidden="true">
        <figure>
          <img src={photoAddress(before.id, 'full')} alt="" />
          <figcaption>Before</figcaption>
        </figure>
        <figure>
          <div className={styles.window} style={frameOf(before)}>
            <img src={photoAddress(photo.id, 'full')} alt="" style={placed(pair)} />
          </div>
          <figcaption>After</figcaption>
        </figure>
      </div>
      <div className={styles.noPrint}>
        <Slide
          ariaLabelForHandle="From before to after"
          value={edge}
          onChange={setEdge}
          tooltip={{ formatter: null }}
        />
      </div>
    </>
  );
}

/** The after photo half seen through over the before photo, pushed, sized and turned until the edges of the room meet. */
function LineUp(props: {
  photo: PhotoRow;
  before: PhotoRow;
  pair: PhotoPair;
  onKeep: (pair: PhotoPair) => void;
  onLeave: () => void;
}) {
  const { photo, before } = props;
  const [pair, setPair] = useState(props.pair);
  const frame = useRef<HTMLButtonElement>(null);
  const from = useRef<{ x: number; y: number; pair: PhotoPair } | null>(null);
  useEffect(() => frame.current?.focus(), []);
  const held = (value: number) => Math.min(100, Math.max(-100, Math.round(value * 100) / 100));
  const move = (start: PhotoPair, dx: number, dy: number) =>
    setPair({ ...start, xPercent: held(start.xPercent + dx), yPercent: held(start.yPercent + dy) });
  const drag = (event: PointerEvent) => {
    const box = frame.current?.getBoundingClientRect();
    if (!from.current || !box) return;
    const { x, y, pair: start } = from.current;
    move(start, ((event.clientX - x) / box.width) * 100, ((event.clientY - y) / box.height) * 100);
  };
  return (
    <>
      <button
        ref={frame}
        type="button"
        aria-label="Push the after photo over the before photo; arrows push it, too"
        className={`${styles.frame} ${styles.pushed}`}
        style={frameOf(before)}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          from.current = { x: event.clientX, y: event.clientY, pair };
        }}
        onPointerMove={drag}
        onPointerUp={() => {
          from.current = null;
        }}
        onPointerCancel={() => {
          from.current = null;
        }}
        onKeyDown={(event) => {
          const way = arrowWay(event.key);
          if (!way) return;
          event.preventDefault();
          move(pair, way[0] * 0.5, way[1] * 0.5);
        }}
      >
        <img className={styles.under} src={photoAddress(before.id, 'full')} alt="Before" draggable={false} />
        <div className={styles.over}>
          <img
            className={styles.seenThrough}
            src={photoAddress(photo.id, 'full')}
            alt="After"
            style={placed(pair)}
            draggable={false}
          />
        </div>
      </button>
      <div className={styles.fields}>
        <span>Size</span>
        <Slide
          ariaLabelForHandle="Size"
          min={0.5}
          max={2}
          step={0.01}
          value={pair.zoom}
          onChange={(zoom) => setPair({ ...pair, zoom })}
          tooltip={{ formatter: (value) => `${Math.round((value ?? 1) * 100)} %` }}
        />
        <span>Turn</span>
        <Slide
          ariaLabelForHandle="Turn"
          min={-15}
          max={15}
          step={0.1}
          value={pair.turnDegrees}
          onChange={(turnDegrees) => setPair({ ...pair, turnDegrees })}
          tooltip={{ formatter: (value) => `${value}°` }}
        />
      </div>
      <p className={wrap.storeActs}>
        <Button type="primary" onClick={() => props.onKeep(pair)}>
          So they meet
        </Button>
        <Button onClick={props.onLeave}>Leave it</Button>
      </p>
    </>
  );
}
