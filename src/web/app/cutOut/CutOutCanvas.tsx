import type { PhotoPoint } from '@core/model/values/photoPoint';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { arrowWay } from '../../ui/arrowWay';
import { photoAddress } from '../../ui/photoAddress';
import styles from './cutOut.module.css';
import { nearLine } from './nearLine';
import type { CutOutDraft } from './useCutOutDraft';

/** The picture with the line around the piece: its points dragged, or moved with the arrow keys. */
export function CutOutCanvas(props: {
  photoId: string;
  size: { widthPx: number; heightPx: number };
  draft: CutOutDraft;
}) {
  const { draft, size } = props;
  const { widthPx, heightPx } = size;
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ ring: number; point: number; to: PhotoPoint } | null>(null);
  const [chosen, setChosen] = useState({ ring: 0, point: 0 });
  const unit = Math.max(widthPx, heightPx) / 700;
  const at = ({ clientX, clientY }: Pick<PointerEvent, 'clientX' | 'clientY'>): PhotoPoint => {
    const back = svg.current?.getScreenCTM()?.inverse();
    if (!back) return { x: 0, y: 0 };
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(back);
    return { x: x / widthPx, y: y / heightPx };
  };
  const rings = draft.rings.map((ring, n) =>
    held?.ring === n ? ring.map((point, k) => (k === held.point ? held.to : point)) : ring,
  );
  const path = rings.map((ring) => `M${ring.map(({ x, y }) => `${x * widthPx} ${y * heightPx}`).join('L')}Z`).join('');
  const onKey = (event: KeyboardEvent, ring: number, point: number) => {
    const own = draft.rings[ring] ?? [];
    const way = arrowWay(event.key);
    const before = own[point];
    const go = (to: number) => {
      const next = { ring, point: (to + own.length) % own.length };
      setChosen(next);
      svg.current?.querySelector<SVGElement>(`[data-point="${next.ring} ${next.point}"]`)?.focus();
    };
    if (way && before) {
      const by = event.shiftKey ? 10 : 1;
      draft.move(ring, point, { x: before.x + (way[0] * by) / widthPx, y: before.y + (way[1] * by) / heightPx });
    } else if (event.key === 'Delete' || event.key === 'Backspace') draft.remove(ring, point);
    else if (event.key === 'n') go(point + 1);
    else if (event.key === 'p') go(point - 1);
    else return;
    event.preventDefault();
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset cannot be drawn in
    <svg
      ref={svg}
      className={`${styles.picture} ${draft.tapping ? styles.tapping : ''}`}
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      role="group"
      aria-label="The picture and the line around the piece"
      onPointerDown={(event) => {
        const place = at(event);
        if (draft.tapping) return draft.addTap(place);
        const scale = svg.current?.getScreenCTM()?.a ?? 1;
        const near = nearLine(draft.rings, place, { widthPx: widthPx * scale, heightPx: heightPx * scale });
        if (!near) return;
        const point = near.isPoint ? near.point : near.point + 1;
        if (!near.isPoint && !draft.insert(near.ring, near.point, place)) return;
        svg.current?.setPointerCapture(event.pointerId);
        setChosen({ ring: near.ring, point });
        setHeld({ ring: near.ring, point, to: place });
      }}
      onPointerMove={(event) => {
        if (held) setHeld({ ...held, to: at(event) });
      }}
      onPointerUp={() => {
        const before = held && draft.rings[held.ring]?.[held.point];
        // A press that moves nothing is no step.
        if (held && before && (before.x !== held.to.x || before.y !== held.to.y))
          draft.move(held.ring, held.point, held.to);
        setHeld(null);
      }}
      onPointerCancel={() => setHeld(null)}
    >
      <image href={photoAddress(props.photoId, 'full')} width={widthPx} height={heightPx} />
      {rings.length > 0 && (
        <path className={styles.outside} d={`M0 0H${widthPx}V${heightPx}H0Z${path}`} fillRule="evenodd" />
      )}
      <path className={styles.line} d={path} strokeWidth={2 * unit} />
      {!draft.tapping &&
        rings.map((ring, n) =>
          ring.map(({ x, y }, k) => (
            // biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside a drawing
            <circle
              key={`${n} ${k}`}
              className={styles.point}
              role="button"
              tabIndex={chosen.ring === n && Math.min(chosen.point, ring.length - 1) === k ? 0 : -1}
              data-point={`${n} ${k}`}
              aria-label={`Point ${k + 1} of ${ring.length} of ${n === 0 ? 'the edge' : `hole ${n}`}`}
              cx={x * widthPx}
              cy={y * heightPx}
              r={6 * unit}
              strokeWidth={1.5 * unit}
              onFocus={() => setChosen({ ring: n, point: k })}
              onDoubleClick={() => draft.remove(n, k)}
              onKeyDown={(event) => onKey(event, n, k)}
            />
          )),
        )}
      {draft.taps.length > 0 && (
        <>
          <polyline
            className={styles.taps}
            points={draft.taps.map(({ x, y }) => `${x * widthPx},${y * heightPx}`).join(' ')}
            strokeWidth={2 * unit}
          />
          {draft.taps.map(({ x, y }, n) => (
            <circle key={n} className={styles.tap} cx={x * widthPx} cy={y * heightPx} r={4 * unit} />
          ))}
        </>
      )}
    </svg>
  );
}
