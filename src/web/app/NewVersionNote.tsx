import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { type NewVersion, onNewVersion } from './offlineApp';
import styles from './shell.module.css';

/** Says that a new version of the app is here, and loads it once nothing is unsent. */
export function NewVersionNote() {
  const [version, setVersion] = useState<NewVersion | null>(null);
  useEffect(() => onNewVersion(setVersion), []);
  if (!version) return null;
  return (
    <div className={styles.banner} role="status">
      <b>A new version is here.</b>
      {version.mayLoad ? (
        <Button size="small" onClick={version.load}>
          Load it
        </Button>
      ) : (
        ' It waits until everything that was typed on this device is sent.'
      )}
    </div>
  );
}
