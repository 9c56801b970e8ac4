import type { PieceRow } from '@core/model/rows';
import { Button } from 'antd';
import { useState } from 'react';
import { later } from '../../ui/later';
import { PhotoQueueDrop } from '../../ui/PhotoDrop';
import type { PhotoQueue } from '../photoQueue';
import styles from './cutOut.module.css';

// Most pieces are never cut out: what does it is loaded when it is first asked for.
const CutOutDialog = later(async () => (await import('./CutOutDialog')).CutOutDialog);

/** The picture of a piece: taken where there is none, and the piece cut out of it, so that it stands in looks as itself. */
export function PiecePicture(props: {
  piece: PieceRow;
  /** The picture that is shown of it here: its own, or that of a find of it. */
  photoId: string | null;
  queue: PhotoQueue;
  onChange: (values: Pick<PieceRow, 'cutOut'>) => void;
}) {
  const { piece, photoId, queue } = props;
  const [isCutting, setCutting] = useState(false);
  const cutOut = piece.cutOut?.photoId === photoId ? piece.cutOut : null;
  if (photoId === null)
    return (
      <PhotoQueueDrop
        label="Photograph it"
        hint="cut out of its picture, it stands in looks as itself"
        queue={{ ...queue, add: (files: File[]) => queue.add(files.slice(0, 1), piece.id) }}
      />
    );
  return (
    <div className={styles.buttons}>
      <Button size="small" onClick={() => setCutting(true)}>
        {cutOut ? 'Mend its cut-out' : 'Cut it out of its picture'}
      </Button>
      {isCutting && (
        <CutOutDialog
          name={piece.name}
          photoId={photoId}
          rings={cutOut?.rings ?? null}
          onSave={(rings) => {
            props.onChange({ cutOut: rings === null ? null : { photoId, rings } });
            setCutting(false);
          }}
          onClose={() => setCutting(false)}
        />
      )}
    </div>
  );
}
