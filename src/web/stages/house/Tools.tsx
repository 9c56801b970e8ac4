import { tools } from '@core/catalog/tools';
import { Checkbox } from 'antd';
import { useHouse } from '../../app/houseStore';
import { Choice } from '../../ui/Choice';
import styles from './house.module.css';

/** Tools that recipes ask for: owned or not, and how much life is in them. */
export function Tools() {
  const { rows, run } = useHouse();
  return (
    <section className={styles.tools} aria-label="Tools">
      <h2>Tools</h2>
      <ul>
        {tools.all.map((tool) => {
          const row = rows.tools.find((entry) => entry.toolId === tool.id);
          const owned = row?.owned ?? tool.usuallyOwned;
          const save = (change: { owned?: boolean; wear?: 'good' | 'worn' | 'replace' }) =>
            run('setTool', {
              tool: {
                id: row?.id ?? crypto.randomUUID(),
                version: 1,
                toolId: tool.id,
                owned,
                wear: row?.wear ?? 'good',
                ...change,
              },
            });
          return (
            <li key={tool.id}>
              <Checkbox checked={owned} onChange={(event) => save({ owned: event.target.checked })}>
                {tool.name}
              </Checkbox>
              {row === undefined && <small className="muted">{owned ? 'usually there' : 'usually not there'}</small>}
              {owned && (
                <Choice
                  label={`Wear of ${tool.name}`}
                  hideLabel
                  width={130}
                  value={row?.wear ?? 'good'}
                  options={[
                    { value: 'good', label: 'good' },
                    { value: 'worn', label: 'worn' },
                    { value: 'replace', label: 'to be replaced' },
                  ]}
                  onChange={(wear) => save({ wear })}
                />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
