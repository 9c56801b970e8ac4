import { Modal } from 'antd';
import styles from './shell.module.css';
import { stages } from './stages';

const keySheet: [string, string][] = [
  ['?', 'This sheet'],
  ...stages.map(({ key, about }): [string, string] => [key, about]),
  ['n', 'New find, by the quick line'],
  ['u', 'Take the last act back'],
  ['f', 'While the purse is over: take what helps most'],
  ['arrows', 'On the board: from option to option'],
  ['Enter', 'On an option: choose it'],
  ['w', 'On an option: why'],
];

/** The keys of a project, as they are told. */
export function KeySheet(props: { open: boolean; onClose: () => void }) {
  return (
    <Modal open={props.open} title="Keys" footer={null} onCancel={props.onClose}>
      <dl className={styles.keys}>
        {keySheet.map(([key, what]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
