import type { FindRow } from '@core/model/rows';
import { newFind } from '@core/sourcing/newFind';
import { readQuickLine, saysSomething } from '@core/sourcing/quickLine';
import { useState } from 'react';
import { useCommands, useLocale } from '../../app/projectStore';
import hunt from './hunt.module.css';
import { LineEntry } from './LineEntry';

/** One line says what a photographed thing is; the picture stands beside it. */
export function SortOut(props: { find: FindRow }) {
  const { find } = props;
  const { run } = useCommands();
  const locale = useLocale();
  const [line, setLine] = useState('');
  const sort = () => {
    const said = newFind(find.id, find.pieceId, readQuickLine(line, locale.currency, locale.units), locale.units);
    const { name, templateId, kind, measures, materialId, finishId, sheen, cordCondition, story, repairMinutes } = said;
    const { count, counted, freshDays, note } = said;
    run('editFind', {
      id: find.id,
      values: {
        ...{ name, templateId, kind, measures, materialId, finishId, sheen, cordCondition, story, repairMinutes },
        ...{ count, counted, freshDays, note, sorted: true },
      },
    });
  };
  return (
    <section className={hunt.sheet} aria-label="Sort it out">
      <h3>What was it?</h3>
      <LineEntry
        label="What it is, and its tag"
        placeholder="brass lamp, $12, cord frayed"
        value={line}
        send="Sorted out"
        isReady={saysSomething(line)}
        isMain
        onType={setLine}
        onSend={sort}
      />
    </section>
  );
}
