import type { LadderSheet } from '@core/arrange/hanging/ladderSheet';
import { wallTemplate } from '@core/arrange/hanging/wallTemplate';
import { baseHeightMm } from '@core/arrange/look/lookRoom';
import { localDate } from '@core/calendar/zonedTime';
import { fixings } from '@core/catalog/fixings';
import { writeCutSvg } from '@core/formats/cutting/writeSvg';
import { templateUnits } from '@core/formats/cutting/writeTemplates';
import type { LookRow, SpotRow } from '@core/model/rows';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { fileName, saveBlob, saveFile } from '../../app/saveFile';
import styles from './hang.module.css';
import layout from './side.module.css';

/** The sheet on paper, paper templates at true size, and the holes kept for the next project. */
export function LadderFiles(props: { sheet: LadderSheet; spot: SpotRow; look: LookRow }) {
  const { sheet, spot, look } = props;
  const rows = useRows();
  const plan = usePlan();
  const { units, timeZone } = useLocale();
  const { run } = useCommands();
  const [problem, setProblem] = useState('');
  const paper = units === 'us' ? 'letter' : 'a4';
  const drawn = () => templateUnits(sheet.things.map((entry) => wallTemplate(entry, baseHeightMm(spot))));
  const name = fileName(`${spot.name} ${look.name}`);
  const savePdf = async () => {
    setProblem('');
    try {
      const { writeCutPdf } = await import('@core/formats/cutting/writePdf');
      const bytes = await writeCutPdf(drawn(), paper, Date.now(), 'Hanging templates, 1:1');
      saveBlob(`${name}.pdf`, new Blob([bytes as BlobPart], { type: 'application/pdf' }));
    } catch {
      setProblem('The templates could not be made here. Try again, or save them as SVG and print those at 100 %.');
    }
  };
  const saveSvgs = () => {
    for (const [n, unit] of drawn().entries()) saveFile(`${name}-${n + 1}.svg`, 'image/svg+xml', writeCutSvg(unit));
  };
  const record = () =>
    run('recordHoles', {
      rows: sheet.things.flatMap(({ thing, points }) =>
        points.map((point) => ({
          id: crypto.randomUUID(),
          version: 1,
          place: `${rows.project.name}, ${spot.name}`,
          edge: sheet.edge,
          // To the right of its edge; a hole left of the right end is on the other side of it.
          fromEdgeMm: sheet.side === 'left' ? point.fromEdgeMm : -point.fromEdgeMm,
          heightMm: point.heightMm,
          what: [thing.name, fixings.find(thing.placement.heldBy?.fixingId ?? '')?.name].filter(Boolean).join(', '),
          madeOn: localDate(plan.asOfMs, timeZone),
          filled: false,
        })),
      ),
    });
  return (
    <section className={layout.panel} aria-label="On paper">
      <h3>On paper</h3>
      <div className={styles.buttons}>
        <Button onClick={() => window.print()}>Print this sheet</Button>
        <Button onClick={() => void savePdf()}>{`Templates 1:1 (PDF, ${paper === 'a4' ? 'A4' : 'Letter'})`}</Button>
        <Button onClick={saveSvgs}>Templates as SVG</Button>
      </div>
      {problem && (
        <p role="alert" className={layout.danger}>
          {problem}
        </p>
      )}
      <h3>Once it hangs</h3>
      <Button onClick={record}>Record the holes</Button>
    </section>
  );
}
