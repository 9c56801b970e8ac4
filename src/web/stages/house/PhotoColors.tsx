import { hexFromLab, type Lab } from '@core/color/lab';
import type { Swatch } from '@core/color/palette';
import { Button } from 'antd';
import { useState } from 'react';
import { colorsOfPhoto } from '../../app/photoColors';
import { photoBlob } from '../../ui/photoAddress';
import styles from './house.module.css';

/** The colors of a piece's photo, to be taken as its color or its second one. */
export function PhotoColors(props: { photoId: string; onColor: (lab: Lab) => void; onAccent: (lab: Lab) => void }) {
  const [swatches, setSwatches] = useState<Swatch[] | 'working' | 'failed' | null>(null);
  const look = async () => {
    setSwatches('working');
    try {
      setSwatches(await colorsOfPhoto(await photoBlob(props.photoId, 'thumbnail'), 6));
    } catch {
      setSwatches('failed');
    }
  };
  if (!Array.isArray(swatches))
    return (
      <p>
        <Button size="small" loading={swatches === 'working'} onClick={() => void look()}>
          Colors from the photo
        </Button>
        {swatches === 'failed' && <span role="alert"> The photo cannot be read just now.</span>}
      </p>
    );
  return (
    <p className={styles.photoColors}>
      {swatches.map(({ lab }) => (
        <span key={hexFromLab(lab)}>
          <i style={{ background: hexFromLab(lab) }} />
          <button type="button" onClick={() => props.onColor(lab)} aria-label={`${hexFromLab(lab)} is its color`}>
            color
          </button>
          <button
            type="button"
            onClick={() => props.onAccent(lab)}
            aria-label={`${hexFromLab(lab)} is its second color`}
          >
            second
          </button>
        </span>
      ))}
    </p>
  );
}
