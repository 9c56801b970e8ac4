import type { PhotoPlane } from '@core/model/entities/look';
import type { PhotoRow } from '@core/model/rows';
import { transfer } from 'comlink';
import { useEffect, useState } from 'react';
import { photoWorker } from '../../app/cutOut/photoWorker';
import { photoBlob } from '../../ui/photoAddress';

/** The longest side of what is shown while marking; the saved picture is worked in full. */
const LOOK_PX = 1600;

/** The picture with its marked pieces in their new colors, made in a worker; null while there is none. */
export function useRecolored(photo: PhotoRow, marks: PhotoPlane['recolored']): string | null {
  const [address, setAddress] = useState<string | null>(null);
  const key = JSON.stringify(marks);
  useEffect(() => {
    const wanted = JSON.parse(key) as PhotoPlane['recolored'];
    let isGone = false;
    let made: string | null = null;
    const make = async () => {
      if (wanted.length === 0) return setAddress(null);
      const blob = await photoBlob(photo.id, 'full');
      const scale = Math.min(1, LOOK_PX / Math.max(photo.widthPx, photo.heightPx));
      const bitmap = await createImageBitmap(blob, {
        resizeWidth: Math.max(1, Math.round(photo.widthPx * scale)),
        resizeHeight: Math.max(1, Math.round(photo.heightPx * scale)),
      });
      const { width, height } = bitmap;
      const picture = await photoWorker().compose(
        transfer(bitmap, [bitmap]),
        wanted.map(({ points, lab }) => ({ points: points.map(({ x, y }) => [x * width, y * height] as const), lab })),
        [],
        [],
      );
      if (isGone) return;
      made = URL.createObjectURL(picture);
      setAddress(made);
    };
    make().catch(() => setAddress(null));
    return () => {
      isGone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [key, photo]);
  return address;
}
