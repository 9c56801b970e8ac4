import { materials, oldFinishes } from '@core/catalog/substrates';
import { formatLength } from '@core/kernel/formatLength';
import type { FindRow } from '@core/model/rows';
import { overallSize } from '@core/plan/fitFindings';
import { usualMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import { Select } from 'antd';
import { useLocale } from '../../../app/projectStore';
import { LengthField } from '../../../ui/fields';
import styles from './card.module.css';
import type { CardDraft } from './cardDraft';

const BARE = 'bare';

/** What it is, what it is made of, how it is finished and how large: each proposed, each a tap to change. */
export function What(props: { find: FindRow; onChange: (over: CardDraft['over']) => void }) {
  const { find } = props;
  const locale = useLocale();
  const template = furnitureTemplates.get(find.templateId);
  const size = overallSize(find.templateId, find.measures);
  const lengths = template.measures.filter(({ kind }) => kind === 'length');
  const usual = usualMeasures(template, locale.units);
  const said = lengths.filter(({ id }) => find.measures[id] !== undefined && find.measures[id] !== usual[id]).length;
  const words = [size.width, size.depth, size.height]
    .filter((mm) => mm !== null)
    .map((mm) => formatLength(mm, locale.units))
    .join(' × ');
  const pickTemplate = (templateId: string) => {
    const next = furnitureTemplates.get(templateId);
    const isLamp = next.traits.includes('lamp');
    props.onChange({
      templateId,
      measures: usualMeasures(next, locale.units),
      kind: isLamp ? 'lamp' : find.kind === 'lamp' ? 'ordinary' : find.kind,
      cordCondition: isLamp ? 'unknown' : 'none',
    });
  };
  return (
    <section className={styles.part} aria-label="What it is">
      <div className={styles.kinds}>
        <Select
          aria-label="Kind of piece"
          value={find.templateId}
          showSearch
          optionFilterProp="label"
          options={furnitureTemplates.all.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={pickTemplate}
          popupMatchSelectWidth={false}
        />
        <Select
          aria-label="Made of"
          value={find.materialId}
          showSearch
          optionFilterProp="label"
          options={materials.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(materialId) => props.onChange({ materialId })}
          popupMatchSelectWidth={false}
        />
        <Select
          aria-label="Present finish"
          value={find.finishId ?? BARE}
          options={[
            { value: BARE, label: 'bare, or none' },
            ...oldFinishes.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => props.onChange({ finishId: id === BARE ? null : id })}
          popupMatchSelectWidth={false}
        />
      </div>
      <details>
        <summary>
          {words === '' ? 'Size' : words}
          {said === 0
            ? ', usual for its kind until you measure'
            : said < lengths.length
              ? ', the rest usual for its kind'
              : ''}
        </summary>
        <div className={styles.fields}>
          {lengths.map((measure) => (
            <LengthField
              key={measure.id}
              label={measure.label}
              value={find.measures[measure.id] ?? measure.standard}
              units={locale.units}
              onCommit={(value) => props.onChange({ measures: { ...find.measures, [measure.id]: value } })}
            />
          ))}
        </div>
      </details>
    </section>
  );
}
