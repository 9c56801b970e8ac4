import { usualMachine } from '@core/cutting/machine/bladePath';
import { formatLength } from '@core/kernel/formatLength';
import { MM_PER_INCH } from '@core/kernel/units';
import { Button } from 'antd';
import { proxy } from 'comlink';
import { useEffect, useId, useState } from 'react';
import { Link } from 'react-router';
import { useLocale } from '../../../app/projectStore';
import shell from '../../../app/shell.module.css';
import { Choice } from '../../../ui/Choice';
import ui from '../../../ui/ui.module.css';
import { WorkShare } from '../../../ui/WorkShare';
import type { Cutting } from '../../../workers/artwork.worker';
import styles from './artwork.module.css';
import { artworkWorker } from './artworkWorker';
import { DroppedList } from './DroppedList';
import { Mat } from './Mat';

/** Mats that such machines take; half an inch of each cannot be reached (common practice, from memory). */
const mats = [
  { value: '12x12', label: '12 × 12 in', wide: 12, high: 12 },
  { value: '12x24', label: '12 × 24 in', wide: 12, high: 24 },
  { value: '24x120', label: 'a roll, 24 in wide', wide: 24, high: 120 },
] as const;
type MatId = (typeof mats)[number]['value'];
const UNREACHED_IN = 0.5;

/** How long the drawing of a cut takes on the screen, ms, whatever the machine would take. */
const SHOWN_MS = 8000;

const edgeWords = {
  left: 'its left edge',
  top: 'its upper edge',
  right: 'its right edge',
  bottom: 'its lower edge',
} as const;

/** A small simulated cutter: it takes the same file as a real one, refuses what lies off its mat, and draws the blade's way. */
export function MachinePage() {
  const locale = useLocale();
  const id = useId();
  const [matId, setMatId] = useState<MatId>('12x12');
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const [cutting, setCutting] = useState<Cutting | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [cut, setCut] = useState(1);
  const [isCutting, setIsCutting] = useState(false);
  const mat = mats.find(({ value }) => value === matId) ?? mats[0];
  const machine = {
    ...usualMachine,
    matWidthMm: (mat.wide - UNREACHED_IN) * MM_PER_INCH,
    matHeightMm: (mat.high - UNREACHED_IN) * MM_PER_INCH,
  };
  const { matWidthMm, matHeightMm } = machine;
  useEffect(() => {
    if (!file) return;
    let isCurrent = true;
    setShare(0);
    setIsCutting(false);
    artworkWorker()
      .cutSvg(
        file.text,
        { ...usualMachine, matWidthMm, matHeightMm },
        proxy((done: number) => isCurrent && setShare(done)),
      )
      .then((next) => {
        if (!isCurrent) return;
        setCutting(next);
        setCut(1);
        setShare(null);
      })
      .catch(() => {
        if (!isCurrent) return;
        setCutting({ ok: false, reason: 'the machine stopped; try again', place: null });
        setShare(null);
      });
    return () => {
      isCurrent = false;
    };
  }, [file, matWidthMm, matHeightMm]);
  useEffect(() => {
    if (!isCutting) return;
    const began = performance.now();
    let frame = 0;
    const draw = () => {
      const done = Math.min(1, (performance.now() - began) / SHOWN_MS);
      setCut(done);
      if (done < 1) frame = requestAnimationFrame(draw);
      else setIsCutting(false);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [isCutting]);
  const path = cutting?.ok ? cutting.path : null;
  return (
    <main className={shell.page}>
      <h1>Cutting machine, a stand-in</h1>
      <p className="muted">
        It takes the SVG of a <Link to="../makeover/cut">layout</Link>, as a real one would: what lies off its mat it
        refuses; else it shows the way of the blade, how far, how often it lifts and how long it takes. Nothing is sent
        anywhere.
      </p>
      <div className={styles.sides}>
        <div className={styles.fields}>
          <label className={ui.field} htmlFor={id}>
            <span>SVG file to cut</span>
            <input
              id={id}
              type="file"
              aria-label="SVG file to cut"
              accept=".svg,image/svg+xml"
              onChange={async (event) => {
                const [chosen] = event.target.files ?? [];
                if (chosen) setFile({ name: chosen.name, text: await chosen.text() });
              }}
            />
          </label>
          <Choice<MatId>
            label="Mat"
            value={matId}
            options={mats.map(({ value, label }) => ({ value, label }))}
            onChange={setMatId}
          />
          {share !== null && <WorkShare label="Looking for a short way" share={share} />}
          {cutting && !cutting.ok && (
            <p role="alert">
              {file?.name} cannot be cut: {cutting.reason}
              {cutting.place ? ` (line ${cutting.place.line}, column ${cutting.place.column})` : ''}.
            </p>
          )}
          {cutting?.ok && cutting.off.length > 0 && (
            <div role="alert">
              <p>
                {file?.name} lies off the mat, of which the blade reaches {formatLength(matWidthMm, locale.units)} ×{' '}
                {formatLength(matHeightMm, locale.units)}:
              </p>
              <ul className={styles.dropped}>
                {cutting.off.slice(0, 6).map(({ ring, beyondMm, edge }) => (
                  <li key={ring}>
                    line {ring + 1} of {cutting.rings.length}: {formatLength(beyondMm, locale.units)} beyond{' '}
                    {edgeWords[edge]}
                  </li>
                ))}
              </ul>
              <p>Take a larger mat, or lay fewer parts on one sheet.</p>
            </div>
          )}
          {path && (
            <>
              <p role="status">
                {formatLength(path.cutMm, locale.units)} of cut, {path.lifts} {path.lifts === 1 ? 'lift' : 'lifts'},{' '}
                {formatLength(path.travelMm, locale.units)} with the blade up
                {path.travelMm < path.fileTravelMm - 1
                  ? `, ${Math.round((1 - path.travelMm / path.fileTravelMm) * 100)} % less than in the order of the file`
                  : ''}
                ; about{' '}
                {path.minutes < 1
                  ? `${Math.max(1, Math.round(path.minutes * 60))} s`
                  : `${path.minutes.toFixed(1)} min`}
                .
              </p>
              <div style={{ display: 'flex', gap: 8, alignItems: 'center' }}>
                <Button type="primary" onClick={() => setIsCutting(!isCutting)}>
                  {isCutting ? 'Stop' : 'Cut it'}
                </Button>
                {isCutting && <WorkShare label="Cutting" share={cut} />}
              </div>
            </>
          )}
          {cutting?.ok && <DroppedList dropped={cutting.dropped} />}
        </div>
        <Mat cutting={cutting} widthMm={matWidthMm} heightMm={matHeightMm} cut={cut} />
      </div>
    </main>
  );
}
