import { asItIs, croppedTo, type Recolor } from '@core/color/recolor';
import { MM_PER_INCH } from '@core/kernel/units';
import { Button } from 'antd';
import { proxy, type Remote, transfer, wrap } from 'comlink';
import { useEffect, useId, useRef, useState } from 'react';
import { endWithPage } from '../../../app/endWithPage';
import { useLocale } from '../../../app/projectStore';
import { fileName, saveBlob } from '../../../app/saveFile';
import shell from '../../../app/shell.module.css';
import { LengthField } from '../../../ui/fields';
import { SideBySide } from '../../../ui/layout';
import { Slide } from '../../../ui/Slide';
import ui from '../../../ui/ui.module.css';
import { WorkShare } from '../../../ui/WorkShare';
import type { RecolorWork } from '../../../workers/recolor.worker';
import styles from './recolor.module.css';

/** The longest side that is looked at while sliding, and the most that is worked in full, pixels. */
const LOOK_PX = 900;
const MOST_PX = 40_000_000;

let worker: Remote<RecolorWork> | null = null;
function recolorWorker(): Remote<RecolorWork> {
  worker ??= wrap<RecolorWork>(
    endWithPage(new Worker(new URL('../../../workers/recolor.worker.ts', import.meta.url), { type: 'module' })),
  );
  return worker;
}

interface Picture {
  name: string;
  bitmap: ImageBitmap;
}

/** The pixels of a part of a picture, at a scale. */
function pixelsOf(bitmap: ImageBitmap, box: ReturnType<typeof croppedTo>, scale: number): ImageData {
  const width = Math.max(1, Math.round(box.width * scale));
  const height = Math.max(1, Math.round(box.height * scale));
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.drawImage(bitmap, box.x, box.y, box.width, box.height, 0, 0, width, height);
  return context.getImageData(0, 0, width, height);
}

const sliders: readonly { id: keyof Recolor; label: string; least: number; most: number }[] = [
  { id: 'hueDeg', label: 'Hue, degrees around', least: -180, most: 180 },
  { id: 'saturationPercent', label: 'Colorfulness, %', least: -100, most: 100 },
  { id: 'warmth', label: 'Warmth', least: -50, most: 50 },
  { id: 'brightness', label: 'Brightness', least: -50, most: 50 },
];

/** A picture of one's own, recolored and cropped for its print. */
export function RecolorPage() {
  const locale = useLocale();
  const id = useId();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [picture, setPicture] = useState<Picture | null>(null);
  const [how, setHow] = useState<Recolor>(asItIs);
  const [print, setPrint] = useState<{ widthMm: number; heightMm: number } | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [problem, setProblem] = useState('');
  const box =
    picture &&
    croppedTo(picture.bitmap.width, picture.bitmap.height, print && { width: print.widthMm, height: print.heightMm });
  const read = async (file: File | undefined) => {
    if (!file) return;
    setProblem('');
    try {
      const bitmap = await createImageBitmap(file);
      if (bitmap.width * bitmap.height > MOST_PX) {
        setProblem(`${file.name} has ${bitmap.width} × ${bitmap.height} pixels; up to 40 million are worked.`);
        return;
      }
      setPicture({ name: file.name, bitmap });
    } catch {
      setProblem(`${file.name} is not a picture that can be read here. Accepted: PNG, JPEG, WebP, GIF.`);
    }
  };
  const { hueDeg, saturationPercent, warmth, brightness } = how;
  const [left, top, wide, high] = [box?.x ?? 0, box?.y ?? 0, box?.width ?? 0, box?.height ?? 0];
  useEffect(() => {
    if (!picture || wide === 0) return;
    let isCurrent = true;
    const scale = Math.min(1, LOOK_PX / Math.max(wide, high));
    const data = pixelsOf(picture.bitmap, { x: left, y: top, width: wide, height: high }, scale);
    const { buffer } = data.data;
    recolorWorker()
      .recolor(
        transfer(buffer as ArrayBuffer, [buffer as ArrayBuffer]),
        { hueDeg, saturationPercent, warmth, brightness },
        proxy(() => {}),
      )
      .then((made) => {
        const shown = canvas.current;
        if (!isCurrent || !made || !shown) return;
        shown.width = data.width;
        shown.height = data.height;
        shown.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(made), data.width, data.height), 0, 0);
      })
      .catch(() => isCurrent && setProblem('The picture could not be recolored here. Try a smaller one.'));
    return () => {
      isCurrent = false;
    };
  }, [picture, left, top, wide, high, hueDeg, saturationPercent, warmth, brightness]);
  const save = async () => {
    if (!picture || !box) return;
    setShare(0);
    setProblem('');
    try {
      const data = pixelsOf(picture.bitmap, box, 1);
      const { buffer } = data.data;
      const made = await recolorWorker().recolor(
        transfer(buffer as ArrayBuffer, [buffer as ArrayBuffer]),
        how,
        proxy((done: number) => setShare(done)),
      );
      if (!made) return;
      const whole = new OffscreenCanvas(data.width, data.height);
      whole.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(made), data.width, data.height), 0, 0);
      saveBlob(
        `${fileName(picture.name.replace(/\.\w+$/, ''))}-recolored.png`,
        await whole.convertToBlob({ type: 'image/png' }),
      );
    } catch {
      setProblem('The picture could not be saved here. Try a smaller one.');
    } finally {
      setShare(null);
    }
  };
  const dpi = box && print ? Math.floor((box.width / print.widthMm) * MM_PER_INCH) : null;
  return (
    <main className={shell.page}>
      <h1>Recolor a picture</h1>
      <p className="muted">
        A picture of your own, or one in the public domain, in the colors of the room; it stays on this device and is
        saved as PNG in full size.
      </p>
      <div className={styles.sides}>
        <div className={styles.fields}>
          <label className={ui.field} htmlFor={id}>
            <span>Picture</span>
            <input
              id={id}
              type="file"
              aria-label="Picture"
              accept="image/*"
              onChange={(event) => void read(event.target.files?.[0])}
            />
          </label>
          {problem !== '' && <p role="alert">{problem}</p>}
          {picture && (
            <>
              {sliders.map(({ id: key, label, least, most }) => (
                <div key={key} className={ui.field}>
                  <span>
                    {label}: {how[key]}
                  </span>
                  <Slide
                    ariaLabelForHandle={label}
                    min={least}
                    max={most}
                    value={how[key]}
                    onChange={(value) => setHow({ ...how, [key]: value })}
                  />
                </div>
              ))}
              <SideBySide across={2}>
                <LengthField
                  label="Print, wide"
                  value={print?.widthMm ?? null}
                  units={locale.units}
                  nullable
                  onCommit={(widthMm) =>
                    setPrint(widthMm === null ? null : { widthMm, heightMm: print?.heightMm ?? widthMm })
                  }
                />
                <LengthField
                  label="Print, high"
                  value={print?.heightMm ?? null}
                  units={locale.units}
                  nullable
                  onCommit={(heightMm) =>
                    setPrint(heightMm === null ? null : { heightMm, widthMm: print?.widthMm ?? heightMm })
                  }
                />
              </SideBySide>
              <p className="small" role="status">
                {box?.width} × {box?.height} pixels
                {dpi === null
                  ? ''
                  : `, ${dpi} dots an inch: ${dpi >= 300 ? 'sharp in the hand' : dpi >= 150 ? 'sharp from arm’s length' : 'soft from near; smaller, or a larger picture'}`}
                .
              </p>
              <div style={{ display: 'flex', gap: 8, alignItems: 'center', flexWrap: 'wrap' }}>
                <Button type="primary" disabled={share !== null} onClick={() => void save()}>
                  Save PNG
                </Button>
                <Button disabled={how === asItIs} onClick={() => setHow(asItIs)}>
                  As it was
                </Button>
                {share !== null && <WorkShare label="Recoloring" share={share} />}
              </div>
            </>
          )}
        </div>
        {picture ? (
          <canvas ref={canvas} className={styles.picture} role="img" aria-label={`${picture.name}, recolored`} />
        ) : (
          <div className={styles.empty}>Choose a picture to see it here.</div>
        )}
      </div>
    </main>
  );
}
