import { colorName } from '@core/color/colorName';
import { hexFromLab, type Lab } from '@core/color/lab';
import { mergeSwatches, type Swatch } from '@core/color/palette';
import { type PaletteRole, paletteRoles } from '@core/state/brief';
import { Button, Checkbox, Modal } from 'antd';
import { type Remote, wrap } from 'comlink';
import { startTransition, useEffect, useRef, useState } from 'react';
import { endWithPage, endWorker } from '../../app/endWithPage';
import { useRows } from '../../app/projectStore';
import { OneOf } from '../../ui/Choice';
import { Input } from '../../ui/input';
import { PhotoDrop } from '../../ui/PhotoDrop';
import { photoAddress, photoBlob } from '../../ui/photoAddress';
import { Slide } from '../../ui/Slide';
import type { PaletteWork } from '../../workers/palette.worker';
import styles from './brief.module.css';

interface Kept {
  name: string;
  lab: Lab;
  role: PaletteRole;
}
interface Draft extends Swatch {
  id: number;
  name: string;
  role: PaletteRole;
  on: boolean;
  marked: boolean;
}

/** Colors of a photo, found in a worker: keep, drop or merge swatches and name them as color cards. */
export function PaletteFromPhoto(props: { onClose: () => void; onKeep: (kept: Kept[]) => void }) {
  const rows = useRows();
  const [photo, setPhoto] = useState<Blob | null>(null);
  const [preview, setPreview] = useState<Blob | null>(null);
  const [address, setAddress] = useState<string | null>(null);
  const [count, setCount] = useState(5);
  const [drafts, setDrafts] = useState<Draft[]>([]);
  const [state, setState] = useState<'idle' | 'working' | string>('idle');
  const worker = useRef<{ thread: Worker; work: Remote<PaletteWork> } | null>(null);
  useEffect(
    () => () => {
      if (worker.current) endWorker(worker.current.thread);
    },
    [],
  );
  useEffect(() => {
    if (!preview) return;
    const made = URL.createObjectURL(preview);
    setAddress(made);
    return () => URL.revokeObjectURL(made);
  }, [preview]);
  useEffect(() => {
    if (!photo) return;
    let current = true;
    setState('working');
    if (!worker.current) {
      const thread = endWithPage(
        new Worker(new URL('../../workers/palette.worker.ts', import.meta.url), { type: 'module' }),
      );
      worker.current = { thread, work: wrap<PaletteWork>(thread) };
    }
    worker.current.work
      .palette(photo, count)
      .then(({ swatches, preview: small }) => {
        if (!current) return;
        setPreview(small);
        // Drawn in small pieces, so that the page stays free.
        startTransition(() =>
          setDrafts(
            swatches.map((swatch, id) => ({
              ...swatch,
              id,
              name: unique(
                colorName(swatch.lab),
                swatches.slice(0, id).map((other) => colorName(other.lab)),
              ),
              role: paletteRoles[Math.min(id, 2)] ?? 'accent',
              on: true,
              marked: false,
            })),
          ),
        );
        setState('idle');
      })
      .catch(() => current && setState('This photo cannot be read here; accepted: JPEG, PNG, WebP, AVIF'));
    return () => {
      current = false;
    };
  }, [photo, count]);

  const change = (id: number, values: Partial<Draft>) =>
    setDrafts((now) => now.map((draft) => (draft.id === id ? { ...draft, ...values } : draft)));
  const marked = drafts.filter((draft) => draft.marked);
  const merge = () => {
    const [first, ...others] = marked;
    if (!first || others.length === 0) return;
    const merged = others.reduce<Swatch>((sum, other) => mergeSwatches(sum, other), first);
    setDrafts((now) =>
      now
        .filter((draft) => !draft.marked || draft.id === first.id)
        .map((draft) =>
          draft.id === first.id ? { ...draft, ...merged, name: colorName(merged.lab), marked: false } : draft,
        ),
    );
  };
  const kept = drafts.filter((draft) => draft.on && draft.name.trim() !== '');
  return (
    <Modal open title="Colors from a photo" onCancel={props.onClose} footer={null} width={860}>
      <PhotoDrop
        label="Choose a photo"
        hint="or take one that is here already"
        busy={state === 'working'}
        onFiles={(files) => setPhoto(files[0] ?? null)}
      />
      {rows.photos.length > 0 && (
        <div className={styles.strip}>
          {rows.photos.map((row) => (
            <button
              key={row.id}
              type="button"
              aria-label={`Take colors from ${row.name || 'this photo'}`}
              onClick={async () => setPhoto(await photoBlob(row.id, 'full'))}
            >
              <img src={photoAddress(row.id, 'thumbnail')} alt="" />
            </button>
          ))}
        </div>
      )}
      {state !== 'idle' && state !== 'working' && (
        <p role="alert" className={styles.remind}>
          {state}
        </p>
      )}
      {photo && (
        <div className={styles.fromPhoto}>
          {address && <img src={address} alt="What the colors are taken from" />}
          <div>
            <label htmlFor="swatches">Colors, at most {count}</label>
            <Slide id="swatches" min={2} max={10} value={count} onChange={setCount} />
            {drafts.map((draft) => (
              <div key={draft.id} className={`${styles.swatch} ${draft.on ? '' : styles.off}`}>
                <span className={styles.chip} style={{ background: hexFromLab(draft.lab) }} aria-hidden="true" />
                <Input
                  aria-label={`Name of color ${draft.id + 1}`}
                  value={draft.name}
                  maxLength={80}
                  onChange={(event) => change(draft.id, { name: event.target.value })}
                />
                <OneOf
                  label={`Role of color ${draft.id + 1}`}
                  value={draft.role}
                  options={paletteRoles.map((role) => ({ value: role, label: role }))}
                  onChange={(role) => change(draft.id, { role })}
                />
                <span className="muted small">{Math.round(draft.share * 100)} %</span>
                <Checkbox
                  checked={draft.marked}
                  onChange={(event) => change(draft.id, { marked: event.target.checked })}
                  aria-label={`Mark ${draft.name} for merging`}
                >
                  merge
                </Checkbox>
                <Button size="small" type="text" onClick={() => change(draft.id, { on: !draft.on })}>
                  {draft.on ? 'drop' : 'take'}
                </Button>
              </div>
            ))}
            <p className={styles.row}>
              <Button disabled={marked.length < 2} onClick={merge}>
                Merge the marked
              </Button>
              <Button
                type="primary"
                disabled={kept.length === 0}
                onClick={() => props.onKeep(kept.map(({ name, lab, role }) => ({ name: name.trim(), lab, role })))}
              >
                Keep {kept.length} as color cards
              </Button>
            </p>
          </div>
        </div>
      )}
    </Modal>
  );
}

/** A name that none of the others has: "pale teal", "pale teal 2". */
function unique(name: string, others: readonly string[]): string {
  const same = others.filter((other) => other === name).length;
  return same === 0 ? name : `${name} ${same + 1}`;
}
