import type { FindRow } from '@core/model/rows';
import { Button } from 'antd';
import { useRef } from 'react';
import { usePhotoQueue } from '../../app/photoQueue';
import { useCommands } from '../../app/projectStore';
import { photoAddress } from '../../ui/photoAddress';
import hunt from './hunt.module.css';

/** The pictures of a find and of its tag, and the way to add one of each. */
export function FindPictures(props: { find: FindRow }) {
  const { find } = props;
  const { run } = useCommands();
  const pictures = [
    { kind: 'find' as const, id: find.photoId, word: 'picture' },
    { kind: 'tag' as const, id: find.tagPhotoId, word: 'tag' },
  ];
  return (
    <div className={hunt.pictures}>
      {pictures.map(({ kind, id, word }) =>
        id === null ? (
          <AddPicture key={kind} kind={kind} word={word} about={find.id} />
        ) : (
          <span key={kind}>
            <img src={photoAddress(id, 'thumbnail')} alt={`${find.name}: ${word}`} />
            <Button size="small" type="text" onClick={() => run('removePhoto', { id })}>
              Remove {word}
            </Button>
          </span>
        ),
      )}
    </div>
  );
}

function AddPicture(props: { kind: 'find' | 'tag'; word: string; about: string }) {
  const queue = usePhotoQueue(props.kind);
  const input = useRef<HTMLInputElement>(null);
  const label = props.kind === 'find' ? 'Add its picture' : 'Add its tag';
  return (
    <span>
      <input
        ref={input}
        type="file"
        accept="image/*"
        className="visually-hidden"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void queue.add([file], props.about);
          event.target.value = '';
        }}
      />
      <Button size="small" loading={queue.waiting > 0} onClick={() => input.current?.click()}>
        {label}
      </Button>
      {queue.refused.map(({ name, reason }) => (
        <small key={name} role="alert">
          {name} was not taken: {reason}
        </small>
      ))}
    </span>
  );
}
