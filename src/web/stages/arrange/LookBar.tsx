import type { LookRow, SpotRow } from '@core/model/rows';
import { Button, Dropdown, Input, Modal } from 'antd';
import { useState } from 'react';
import { useCommands } from '../../app/projectStore';
import styles from './arrange.module.css';
import { useNewLook } from './useNewLook';

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
  const [name, setName] = useState('');
  const next = `Look ${looks.length + 1}`;
  const rename = () => {
    if (name.trim() === '') return;
    run('editLook', { id: look.id, values: { name: name.trim() } });
    setIsNaming(false);
  };
  const remove = () => {
    const other = looks.find(({ id }) => id !== look.id);
    run('removeLook', { id: look.id });
    if (other) props.onOpen(other.id);
  };
  return (
    <div className={styles.looks}>
      <fieldset className={styles.lookChoice} aria-label={`Looks of ${spot.name}`}>
        {looks.map((entry) => (
          <button
            key={entry.id}
            type="button"
            aria-pressed={entry.id === look.id}
            onClick={() => props.onOpen(entry.id)}
          >
            {entry.name}
          </button>
        ))}
      </fieldset>
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            { key: 'copy', label: `Copy “${look.name}”`, onClick: () => copy(next, look) },
            ...(slots > 0 ? [{ key: 'sketch', label: 'From the sketch', onClick: () => fromSketch(next) }] : []),
            { key: 'empty', label: 'Empty', onClick: () => empty(next) },
          ],
        }}
      >
        <Button>+ look</Button>
      </Dropdown>
      <Button
        type="text"
        onClick={() => {
          setName(look.name);
          setIsNaming(true);
        }}
      >
        Rename
      </Button>
      <Button type="text" onClick={remove}>
        Remove
      </Button>
      <Modal
        open={isNaming}
        title="What is this look called?"
        okText="Rename"
        onOk={rename}
        okButtonProps={{ disabled: name.trim() === '' }}
        onCancel={() => setIsNaming(false)}
        destroyOnHidden
      >
        <Input
          aria-label="Name of the look"
          value={name}
          onChange={(event) => setName(event.target.value)}
          onPressEnter={rename}
          maxLength={80}
          autoFocus
        />
      </Modal>
    </div>
  );
}
