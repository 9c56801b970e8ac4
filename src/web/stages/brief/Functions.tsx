import { keptFunctions } from '@core/plan/keptFunctions';
import { Select } from 'antd';
import { useCommands, useRows } from '../../app/projectStore';
import { OneOf } from '../../ui/Choice';
import styles from './brief.module.css';

const MOST = 30;

/** What the place must keep doing: typed here, and each closed by a slot that takes it over. */
export function Functions() {
  const rows = useRows();
  const { run } = useCommands();
  const { project, slots } = rows;
  const { brief } = project;
  const kept = keptFunctions(rows);
  return (
    <div className={styles.field}>
      <label htmlFor="functions">What the place must keep doing</label>
      <Select
        id="functions"
        aria-label="What the place must keep doing"
        mode="tags"
        value={brief.functions}
        placeholder="hide the mail, room to chop …"
        onChange={(functions: string[]) =>
          run('editProject', {
            id: project.id,
            values: {
              brief: {
                ...brief,
                functions: functions
                  .map((text) => text.trim().slice(0, 120))
                  .filter((text) => text !== '')
                  .slice(0, MOST),
              },
            },
          })
        }
        open={false}
        suffixIcon={null}
        style={{ width: '100%' }}
      />
      {slots.length > 0 && kept.length > 0 && (
        <ul className={styles.functions} aria-label="Which slot keeps it">
          {kept.map(({ words, slots: closing }) => (
            <li key={words}>
              <span>{words}</span>
              <OneOf
                label={`Which slot keeps: ${words}`}
                size="small"
                value={closing[0]?.id ?? ''}
                onChange={(slotId) => run('keepFunction', { words, slotId: slotId === '' ? null : slotId })}
                options={[
                  { value: '', label: 'open: no slot yet' },
                  ...slots
                    .filter((slot) => !slot.leftOut)
                    .map((slot) => ({ value: slot.id, label: `${slot.number} ${slot.name}` })),
                ]}
                warns={closing.length === 0}
              />
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
