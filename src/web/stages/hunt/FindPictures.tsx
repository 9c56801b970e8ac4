import type { FindRow } from '@core/model/rows';
import { Button } from 'antd';
import { useCommands } from '../../app/projectStore';
import { photoAddress } from '../../ui/photoAddress';
import { AddPicture } from './AddPicture';
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
          <AddPicture key={kind} kind={kind} about={find.id} />
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
