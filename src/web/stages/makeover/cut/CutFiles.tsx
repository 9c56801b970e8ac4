import { cutDrawing, type DrawnUnit } from '@core/formats/cutting/cutDrawing';
import { writeCutList } from '@core/formats/cutting/writeCutList';
import { writeCutDxf } from '@core/formats/cutting/writeDxf';
import { writeCutSvg } from '@core/formats/cutting/writeSvg';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLocale, usePlan } from '../../../app/projectStore';
import { fileName, saveBlob, saveFile } from '../../../app/saveFile';
import { pictureOfSvg, pngOf, whiteCanvas } from '../../../app/svgPicture';
import styles from './cut.module.css';
import type { CutStockView } from './cutStocks';

/** Dots to an inch of a picture, and the most that one side may have. */
const PICTURE_DPI = 150;
const MOST_PX = 4000;

/** The layout as files: guides to print at true size, outlines for a cutter, a list for the shop. */
export function CutFiles(props: { view: CutStockView; shown: number }) {
  const plan = usePlan();
  const locale = useLocale();
  const [problem, setProblem] = useState('');
  const { supply, layout, total } = props.view;
  const name = fileName(supply.name);
  const drawn = (): DrawnUnit[] => cutDrawing(layout, total.parts, (_, n) => `${supply.name}, ${n + 1}`);
  const one = () => drawn()[props.shown];
  const paper = locale.units === 'us' ? 'letter' : 'a4';
  const printGuide = async () => {
    setProblem('');
    try {
      // Loaded when it is first asked for: most visits print nothing.
      const { writeCutPdf } = await import('@core/formats/cutting/writePdf');
      const bytes = await writeCutPdf(drawn(), paper, Date.now());
      saveBlob(`${name}.pdf`, new Blob([bytes as BlobPart], { type: 'application/pdf' }));
    } catch {
      setProblem('The guide could not be made here. Try again, or save the outlines as SVG and print those at 100 %.');
    }
  };
  const savePicture = async () => {
    const unit = one();
    if (!unit) return;
    setProblem('');
    const scale = Math.min(PICTURE_DPI / 25.4, MOST_PX / Math.max(unit.widthMm, unit.lengthMm));
    try {
      const picture = await pictureOfSvg(writeCutSvg(unit));
      const { canvas, context } = whiteCanvas(unit.widthMm * scale, unit.lengthMm * scale);
      context.drawImage(picture, 0, 0, canvas.width, canvas.height);
      saveBlob(`${name}-${props.shown + 1}.png`, await pngOf(canvas));
    } catch {
      setProblem('The picture could not be made here; the SVG holds the same.');
    }
  };
  const isBoard = supply.cut?.form === 'board';
  return (
    <div className={styles.tools}>
      {!isBoard && (
        <Button
          size="small"
          onClick={() => void printGuide()}
        >{`Print 1:1 (PDF, ${paper === 'a4' ? 'A4' : 'Letter'})`}</Button>
      )}
      <Button
        size="small"
        onClick={() =>
          saveFile(
            `${name}.csv`,
            'text/csv',
            writeCutList([{ name: supply.name, units: drawn() }], plan.rows.project.units),
          )
        }
      >
        Cut list (CSV)
      </Button>
      {!isBoard && (
        <>
          <Button
            size="small"
            onClick={() => {
              const unit = one();
              if (unit) saveFile(`${name}-${props.shown + 1}.svg`, 'image/svg+xml', writeCutSvg(unit));
            }}
          >
            SVG
          </Button>
          <Button
            size="small"
            onClick={() => {
              const unit = one();
              if (unit) saveFile(`${name}-${props.shown + 1}.dxf`, 'image/vnd.dxf', writeCutDxf(unit));
            }}
          >
            DXF
          </Button>
          <Button size="small" onClick={() => void savePicture()}>
            PNG
          </Button>
          <Link to="../makeover/machine" className="small">
            Try it on a cutting machine
          </Link>
          {layout.units.length > 1 && (
            <span className="muted small">SVG, DXF and PNG: of number {props.shown + 1}</span>
          )}
        </>
      )}
      {problem !== '' && <span role="alert">{problem}</span>}
    </div>
  );
}
