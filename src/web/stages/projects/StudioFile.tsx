import type { RefusedAnswer } from '@contract/answers';
import { Button } from 'antd';
import { useRef, useState } from 'react';
import { ApiError, api } from '../../app/api';
import { FileLink } from '../../app/FileLink';
import { RefusedFields } from '../../app/RefusedFields';

/** All of the studio as one open file, with its photos; and such a file as a studio of its own. */
export function StudioFile(props: { isAway: boolean }) {
  const input = useRef<HTMLInputElement>(null);
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState<RefusedAnswer | null>(null);
  const bring = async (file: File) => {
    setProblem(null);
    setBusy(true);
    try {
      await api.bringStudio(file);
    } catch (error) {
      setProblem(
        error instanceof ApiError
          ? error.answer
          : { code: 'unexpected', sentence: error instanceof Error ? error.message : 'Something went wrong.' },
      );
      setBusy(false);
    }
  };
  return (
    <>
      <p>
        <FileLink name="exportStudio" asked={{}}>
          Save this studio as a file
        </FileLink>{' '}
        <span className="muted">all projects, the house, bills and photos: a ZIP of JSON and pictures</span>
      </p>
      <p>
        <Button disabled={props.isAway || isBusy} loading={isBusy} onClick={() => input.current?.click()}>
          Bring a studio file in
        </Button>{' '}
        <span className="muted">it becomes a studio of its own; this one stays as it is</span>
        <input
          ref={input}
          type="file"
          accept=".zip,application/zip"
          aria-label="Studio file"
          hidden
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void bring(file);
          }}
        />
      </p>
      {isBusy && <p role="status">Bringing it in: photos are looked at one by one …</p>}
      {problem && (
        <div role="alert">
          <p>{problem.sentence}</p>
          {problem.fields && <RefusedFields fields={problem.fields} />}
        </div>
      )}
    </>
  );
}
