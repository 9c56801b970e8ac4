import { useId } from 'react';
import ui from '../../../ui/ui.module.css';
import type { Imported } from '../../../workers/artwork.worker';
import { artworkWorker } from './artworkWorker';
import { DroppedList } from './DroppedList';

/** The largest file that is brought in, bytes. */
const MOST_BYTES = 4_000_000;

/** A drawing from a file: read in the worker, refused with its place, or shown with what was left out. */
export function FileField(props: {
  file: { name: string; result: Imported } | null;
  onFile: (file: { name: string; result: Imported }) => void;
}) {
  const id = useId();
  const { file, onFile } = props;
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    const result: Imported =
      chosen.size > MOST_BYTES
        ? { ok: false, reason: `it has ${Math.round(chosen.size / 1e6)} MB; up to 4 MB are read`, place: null }
        : await artworkWorker().importSvg(await chosen.text());
    onFile({ name: chosen.name, result });
  };
  return (
    <>
      <label className={ui.field} htmlFor={id}>
        <span>SVG file, in its true size</span>
        <input
          id={id}
          type="file"
          aria-label="SVG file, in its true size"
          accept=".svg,image/svg+xml"
          onChange={(event) => void read(event.target.files?.[0])}
        />
      </label>
      {file && !file.result.ok && (
        <p role="alert">
          {file.name} cannot be read: {file.result.reason}
          {file.result.place ? ` (line ${file.result.place.line}, column ${file.result.place.column})` : ''}. Accepted:
          an SVG with paths or basic shapes.
        </p>
      )}
      {file?.result.ok && <DroppedList dropped={file.result.dropped} />}
    </>
  );
}
