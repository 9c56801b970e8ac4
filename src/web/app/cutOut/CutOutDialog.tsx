import { useQuery } from '@tanstack/react-query';
import { Button, Modal } from 'antd';
import { CutOutCanvas } from './CutOutCanvas';
import styles from './cutOut.module.css';
import { bitmapOf } from './useCutOut';
import { type Rings, useCutOutDraft } from './useCutOutDraft';

/** How large a picture is. */
async function sizeOf(photoId: string) {
  const bitmap = await bitmapOf(photoId);
  const size = { widthPx: bitmap.width, heightPx: bitmap.height };
  bitmap.close();
  return size;
}

/** A piece is cut out of its picture: a guess is offered at once, a few taps say it better, points are moved by hand. */
export function CutOutDialog(props: {
  name: string;
  photoId: string;
  /** As it is cut now; null where nobody did. */
  rings: Rings | null;
  onSave: (rings: Rings | null) => void;
  onClose: () => void;
}) {
  const { photoId, rings: first } = props;
  const draft = useCutOutDraft(photoId, first);
  const size = useQuery({
    queryKey: ['pictureSize', photoId],
    queryFn: () => sizeOf(photoId),
    staleTime: Number.POSITIVE_INFINITY,
    retry: 1,
  });
  const [edge] = draft.rings;
  const isTapping = draft.tapping !== null;
  return (
    <Modal
      open
      title={`Cut out: ${props.name}`}
      width={760}
      onCancel={props.onClose}
      okText="Use it"
      okButtonProps={{ disabled: !edge || isTapping }}
      onOk={() => props.onSave(draft.rings)}
      destroyOnHidden
    >
      <p className="small">
        {isTapping
          ? `Tap along ${draft.tapping === 'hole' ? 'the hole' : 'its edge'}, all the way around: six to twelve taps will do. (${draft.taps.length})`
          : draft.isGuessing
            ? 'Looking for its edge …'
            : 'What is dimmed is left out. Drag a point, or the line for a new one; a double tap takes a point away. With keys: arrows move a point, n and p go to the next and the one before, Delete takes it away.'}
      </p>
      {draft.problem && (
        <p role="alert" className={styles.problem}>
          {draft.problem}
        </p>
      )}
      {size.isError && (
        <p role="alert" className={styles.problem}>
          The picture cannot be shown here: it is still on its way, or the server cannot be reached.
        </p>
      )}
      {size.data && <CutOutCanvas photoId={photoId} size={size.data} draft={draft} />}
      <div className={styles.buttons}>
        {isTapping ? (
          <>
            <Button
              type="primary"
              disabled={draft.taps.length < 3}
              loading={draft.isGuessing}
              onClick={() => (draft.tapping === 'edge' ? void draft.guess(draft.taps) : draft.finish())}
            >
              {draft.tapping === 'edge' ? 'Find its edge along my taps' : 'It is a hole'}
            </Button>
            {draft.tapping === 'edge' && (
              <Button disabled={draft.taps.length < 3} onClick={draft.finish}>
                My taps are its edge
              </Button>
            )}
            <Button type="text" onClick={() => draft.tap(null)}>
              Stop tapping
            </Button>
          </>
        ) : (
          <>
            <Button onClick={() => draft.tap('edge')}>Tap around it</Button>
            <Button loading={draft.isGuessing} onClick={() => void draft.guess()}>
              Guess again
            </Button>
            <Button disabled={!draft.mayHaveHole} onClick={() => draft.tap('hole')}>
              Cut a hole
            </Button>
            {draft.rings.length > 1 && <Button onClick={draft.withoutHoles}>Close its holes</Button>}
          </>
        )}
        <Button type="text" disabled={!draft.canStepBack} onClick={draft.stepBack}>
          Step back
        </Button>
        {first && (
          <Button type="text" onClick={() => props.onSave(null)}>
            Show it drawn instead
          </Button>
        )}
      </div>
    </Modal>
  );
}
