import { Modal } from 'antd';
import { Link } from 'react-router';
import { actTitle, StuckCommand, stuckTitle } from './StuckCommand';
import type { CommandQueue } from './useCommandQueue';

/** What could not be saved, before anything else goes on: both versions side by side, and the ways on. */
export function StuckDialog(props: Pick<CommandQueue, 'entries' | 'resolve' | 'undoWith'>) {
  const { entries, resolve, undoWith } = props;
  const stuck = entries.filter((entry) => entry.state !== 'waiting');
  const first = stuck[0];
  if (!first) return null;
  const { key } = first.command;
  const isUndo = first.command.kind === 'undo';
  return (
    <Modal open title={stuckTitle(first)} closable={false} maskClosable={false} keyboard={false} footer={null}>
      {(!isUndo || stuck.length > 1) && (
        <p className="muted small">
          {isUndo ? 'This' : actTitle(first)}
          {stuck.length > 1 ? `, and ${stuck.length - 1} more after it` : ''} ·{' '}
          <Link to="/waiting">All that waits on this device</Link>
        </p>
      )}
      <StuckCommand
        key={key}
        entry={first}
        resolve={(decision) => resolve(key, decision)}
        undoWith={(also) => undoWith(key, also)}
      />
    </Modal>
  );
}
