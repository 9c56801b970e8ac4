import type { LookRow } from '@core/model/rows';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands } from '../../app/projectStore';
import { Input } from '../../ui/input';

/** Another name for a look: Enter renames it, Escape leaves it as it is. */
export function RenameLook({ look, onDone }: { look: LookRow; onDone: () => void }) {
  const { run } = useCommands();
  const [name, setName] = useState(look.name);
  const rename = () => {
    if (name.trim() === '') return;
    run('editLook', { id: look.id, values: { name: name.trim() } });
    onDone();
  };
  return (
    <>
      <Input
        aria-label="What this look is called"
        value={name}
        onChange={(event) => setName(event.target.value)}
        onPressEnter={rename}
        onKeyDown={(event) => event.key === 'Escape' && onDone()}
        maxLength={80}
        style={{ width: 220 }}
        autoFocus
      />
      <Button type="primary" onClick={rename} disabled={name.trim() === ''}>
        Rename
      </Button>
      <Button type="text" onClick={onDone}>
        Cancel
      </Button>
    </>
  );
}
