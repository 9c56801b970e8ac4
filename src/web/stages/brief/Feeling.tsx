import type { Brief } from '@core/state/brief';
import { Button, Checkbox } from 'antd';
import { usePhotoQueue } from '../../app/photoQueue';
import { useCommands, useRows } from '../../app/projectStore';
import { MoneyField, TextField } from '../../ui/fields';
import { later } from '../../ui/later';
import { SideBySide } from '../../ui/layout';
import { PhotoQueueDrop } from '../../ui/PhotoDrop';
import styles from './brief.module.css';
import { PhotoCard } from './Photos';

// A list that is typed into is large.
const Functions = later(async () => (await import('./Functions')).Functions);

/** The feeling: occasion, words for the mood, what the place must keep doing, the anchor, one splurge. */
export function Feeling() {
  const rows = useRows();
  const { run } = useCommands();
  const queue = usePhotoQueue('anchor');
  const { project } = rows;
  const { brief } = project;
  const set = (values: Partial<Brief>) =>
    run('editProject', { id: project.id, values: { brief: { ...brief, ...values } } });
  const anchorPhoto = rows.photos.find((photo) => photo.id === brief.anchor?.photoId);
  return (
    <section className={styles.sheet} aria-label="Feeling">
      <h2>Feeling</h2>
      <SideBySide across={2}>
        <div>
          <TextField label="Occasion" value={brief.occasion} most={200} onCommit={(occasion) => set({ occasion })} />
          <Checkbox
            style={{ marginBottom: 12 }}
            checked={brief.comesAgain}
            onChange={(event) => set({ comesAgain: event.target.checked })}
          >
            comes again every year
          </Checkbox>
        </div>
        <TextField label="Words for the mood" value={brief.mood} most={400} onCommit={(mood) => set({ mood })} />
      </SideBySide>
      <Functions />
      <SideBySide across={2}>
        <TextField
          label="Anchor: the one thing everything is built around"
          value={brief.anchor?.what ?? ''}
          most={200}
          onCommit={(what) =>
            set({
              anchor:
                what === '' ? null : { what, why: brief.anchor?.why ?? '', photoId: brief.anchor?.photoId ?? null },
            })
          }
        />
        {brief.anchor && (
          <TextField
            label="Why that one"
            value={brief.anchor.why}
            most={400}
            onCommit={(why) => brief.anchor && set({ anchor: { ...brief.anchor, why } })}
          />
        )}
      </SideBySide>
      {brief.anchor &&
        (anchorPhoto ? (
          <PhotoCard photo={anchorPhoto} alt={`The anchor: ${brief.anchor.what}`}>
            <figcaption>
              <span>the anchor</span>
              <Button
                size="small"
                type="text"
                onClick={() => run('removePhoto', { id: anchorPhoto.id })}
                aria-label="Remove the photo of the anchor"
              >
                ×
              </Button>
            </figcaption>
          </PhotoCard>
        ) : (
          <PhotoQueueDrop
            label="Add a photo of the anchor"
            hint=""
            queue={{ ...queue, add: (files) => queue.add(files.slice(0, 1)) }}
          />
        ))}
      <SideBySide across={2}>
        <TextField
          label="One splurge: on what"
          value={brief.splurge?.what ?? ''}
          most={200}
          onCommit={(what) => set({ splurge: what === '' ? null : { what, amount: brief.splurge?.amount ?? 0 } })}
          hint="taken out first; the rest is spread over the slots by importance"
        />
        {brief.splurge && (
          <MoneyField
            label="Splurge, up to"
            value={brief.splurge.amount}
            currency={project.currency}
            onCommit={(amount) => brief.splurge && set({ splurge: { ...brief.splurge, amount } })}
          />
        )}
      </SideBySide>
    </section>
  );
}
