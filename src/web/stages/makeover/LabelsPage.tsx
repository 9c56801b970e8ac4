import { colorFamilies } from '@core/plan/colorFamilies';
import { madeBody } from '@core/plan/madeBody';
import { completeMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import { supplyWords } from '@core/words/supplyWords';
import { Button } from 'antd';
import { Link } from 'react-router';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { localToday } from '../../app/today';
import { dateWords } from '../../app/words';
import { Empty } from '../../ui/basics';
import { Cards } from '../../ui/layout';
import { Swatch } from '../../ui/Swatch';
import styles from './makeover.module.css';

/** Labels to print: lids of cans, bags of hardware, numbered parts. */
export function LabelsPage() {
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const today = dateWords(localToday(locale.timeZone));
  const lids = colorFamilies(plan);
  const open = rows.recipes.filter((recipe) => recipe.doneOn === null);
  const bags = open.flatMap((recipe) =>
    madeBody(rows, recipe).pieces.flatMap((piece) => {
      const template = furnitureTemplates.find(piece.templateId);
      if (!template || template.hardwareMinutes(completeMeasures(template, piece.measures)) <= 0) return [];
      return Array.from({ length: piece.count }, (_, n) => ({
        id: `${recipe.id}-${piece.id}-${n}`,
        name: piece.count > 1 ? `${recipe.name}, ${n + 1} of ${piece.count}` : recipe.name,
      }));
    }),
  );
  const parts = open.flatMap((recipe) =>
    (plan.model.recipe(recipe.id)?.zones ?? [])
      .filter((zone) => zone.zone.included && zone.zone.count > 1 && zone.zone.count <= 24)
      .flatMap((zone) =>
        Array.from({ length: zone.zone.count }, (_, n) => ({
          id: `${recipe.id}-${zone.key}-${n}`,
          mark: `${zone.zone.letter}${n + 1}`,
          name: `${recipe.name} · ${zone.zone.name.toLowerCase()}`,
        })),
      ),
  );
  const ratios = new Map<string, string>();
  for (const recipe of open)
    for (const layer of plan.model.recipe(recipe.id)?.layers ?? []) {
      const share = layer.technique.paintShare(layer.values);
      if (layer.technique.mixedLifeHours !== null && share < 1)
        ratios.set(layer.supplyKey, `wash ${layer.values.paintParts} paint : ${layer.values.waterParts} water`);
    }
  if (lids.length + bags.length + parts.length === 0)
    return (
      <main className={shell.page}>
        <Empty title="No labels yet">
          <p>
            Lids, bags and parts come from the <Link to="../makeover">makeovers</Link>.
          </p>
        </Empty>
      </main>
    );
  return (
    <main className={shell.page}>
      <header className={styles.labelsHead}>
        <h1>Labels</h1>
        <Link to="../makeover">Makeovers</Link>
        <Button type="primary" onClick={() => window.print()}>
          Print
        </Button>
      </header>
      {lids.length > 0 && (
        <section aria-label="Lids">
          <h2>Lids</h2>
          <Cards leastWidth={200} className={styles.labels}>
            {lids.map((lid) => {
              const { unit } = plan.model.supply(lid.supplyKey);
              return (
                <li key={lid.supplyKey}>
                  <Swatch color={lid.color} />
                  <b>{lid.name}</b>
                  <span>{ratios.get(lid.supplyKey) ?? 'undiluted'}</span>
                  <span>{today}</span>
                  <span>
                    left when done: {supplyWords(lid.left, unit, locale.units)}
                    {lid.keepsMonths === null ? '' : `, use within ${lid.keepsMonths} months`}
                  </span>
                </li>
              );
            })}
          </Cards>
        </section>
      )}
      {bags.length > 0 && (
        <section aria-label="Bags of hardware">
          <h2>Bags of hardware</h2>
          <Cards leastWidth={200} className={styles.labels}>
            {bags.map((bag) => (
              <li key={bag.id}>
                <b>{bag.name}</b>
                <span>knobs, screws, hinges</span>
                <span>taken off {today}</span>
              </li>
            ))}
          </Cards>
        </section>
      )}
      {parts.length > 0 && (
        <section aria-label="Parts">
          <h2>Parts, numbered from the top left</h2>
          <Cards leastWidth={200} className={styles.labels}>
            {parts.map((part) => (
              <li key={part.id}>
                <b className={styles.mark}>{part.mark}</b>
                <span>{part.name}</span>
              </li>
            ))}
          </Cards>
        </section>
      )}
    </main>
  );
}
