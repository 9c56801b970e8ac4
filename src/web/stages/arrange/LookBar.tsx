import type { LookRow, SpotRow } from '@core/model/rows';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands } from '../../app/projectStore';
import { Segments } from '../../ui/basics';
import { OneOf } from '../../ui/Choice';
import { later } from '../../ui/later';
import styles from './arrange.module.css';
import { useNewLook } from './useNewLook';

const RenameLook = later(async () => (await import('./RenameLook')).RenameLook);

/** The looks of a spot beside each other; one more as a copy, from the sketch or empty; renamed and removed. */
export function LookBar(props: {
  spot: SpotRow;
  looks: readonly LookRow[];
  look: LookRow;
  onOpen: (lookId: string) => void;
}) {
  const { spot, looks, look } = props;
  const { run } = useCommands();
  const { fromSketch, empty, copy, slots } = useNewLook(spot, props.onOpen);
  const [isNaming, setIsNaming] = useState(false);
  const next = `Look ${looks.length + 1}`;
  const begin = {
    copy: () => copy(next, look),
    sketch: () => fromSketch(next),
    empty: () => empty(next),
  };
  const remove = () => {
    const other = looks.find(({ id }) => id !== look.id);
    run('removeLook', { id: look.id });
    if (other) props.onOpen(other.id);
  };
  return (
    <div className={styles.looks}>
      <Segments
        label={`Looks of ${spot.name}`}
        value={look.id}
        options={looks.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={props.onOpen}
      />
      {isNaming ? (
        <RenameLook look={look} onDone={() => setIsNaming(false)} />
      ) : (
        <>
          <OneOf
            label="One more look"
            placeholder="+ look"
            value={null}
            options={[
              { value: 'copy', label: `Copy “${look.name}”` },
              ...(slots > 0 ? [{ value: 'sketch' as const, label: 'From the sketch' }] : []),
              { value: 'empty', label: 'Empty' },
            ]}
            onChange={(from: keyof typeof begin) => begin[from]()}
            width={96}
          />
          <Button type="text" onClick={() => setIsNaming(true)}>
            Rename
          </Button>
          <Button type="text" onClick={remove}>
            Remove
          </Button>
        </>
      )}
    </div>
  );
}
