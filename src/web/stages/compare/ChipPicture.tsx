import { labFromHex } from '@core/color/lab';
import { memo } from 'react';
import type { ChipFace } from '../../app/chipFace';
import { PieceDrawing } from '../../ui/PieceDrawing';
import { photoAddress } from '../../ui/photoAddress';
import styles from './compare.module.css';

/** How large a chip's picture is, pixels. */
const SIZE = 30;

/** What of a chip's face its picture is made of. */
export const pictureOf = ({ templateId, measures, called, photoId, present, edge }: ChipFace) => ({
  templateId,
  measures,
  called,
  photoId,
  present,
  edge,
});

/**
 * The piece of a chip: its photo, else drawn to proportion; where it gets another color, its left half as it is now and
 * its right half as it will be. Only a picture: the chip says all in words.
 */
export const ChipPicture = memo(function ChipPicture(
  props: Pick<ChipFace, 'templateId' | 'measures' | 'called' | 'photoId' | 'present' | 'edge'>,
) {
  const { templateId, measures, called, photoId, present, edge } = props;
  if (photoId !== null)
    return (
      <span className={styles.picture}>
        <img src={photoAddress(photoId, 'thumbnail')} alt="" width={SIZE} height={SIZE} loading="lazy" />
        {present !== null && <i style={{ background: edge }} />}
      </span>
    );
  if (templateId === null || measures === null) return null;
  const drawn = (hex: string) => {
    const color = labFromHex(hex);
    return (
      <PieceDrawing
        templateId={templateId}
        measures={measures}
        name={called}
        colorOf={() => color}
        label=""
        size={SIZE}
      />
    );
  };
  return (
    <span className={styles.picture} data-changes={present !== null && present !== edge}>
      {present !== null && present !== edge && <span className={styles.now}>{drawn(present)}</span>}
      <span>{drawn(edge)}</span>
    </span>
  );
});
