import { describe, expect, it } from 'vitest';
import { uuid } from '../../fixtures/following';
import { withWhatStayedBehind } from './travel';

const look = (change: object) => ({
  id: uuid(1),
  version: 3,
  spotId: uuid(2),
  name: 'First look',
  note: '',
  position: 0,
  setAside: [],
  votes: [],
  photo: null,
  ...change,
});
const corner = { x: 0.1, y: 0.1 };
const plane = (photoId: string | null, widthMm = 1000) => ({
  photoId,
  corners: [corner, corner, corner, corner],
  widthMm,
  heightMm: 700,
  xMm: 0,
  heightAtMm: 0,
  recolored: [],
});

describe('a row that comes back from a file', () => {
  it('points to the picture that stayed behind, and is otherwise what the file says', () => {
    const here = look({ photo: plane(uuid(9)) });
    const file = look({ photo: plane(null, 1200), name: 'Called otherwise' });
    expect(withWhatStayedBehind('looks', file, here)).toEqual(
      look({ photo: plane(uuid(9), 1200), name: 'Called otherwise' }),
    );
  });

  it('has no picture where the file took it out altogether', () => {
    const here = look({ photo: plane(uuid(9)) });
    expect(withWhatStayedBehind('looks', look({ photo: null }), here)).toEqual(look({ photo: null }));
  });

  it('keeps another picture that the file names, and is the same where nothing stayed behind', () => {
    const named = look({ photo: plane(uuid(8)) });
    expect(withWhatStayedBehind('looks', named, look({ photo: plane(uuid(9)) }))).toBe(named);
    const plain = look({ name: 'Plain' });
    expect(withWhatStayedBehind('looks', plain, look({}))).toBe(plain);
  });

  it('finds its pictures at the top of a row and deep in it, in finds as in the brief', () => {
    const find = { id: uuid(1), version: 1, pieceId: uuid(3), photoId: null, tagPhotoId: null };
    expect(withWhatStayedBehind('sightings', find, { ...find, photoId: uuid(5), tagPhotoId: uuid(6) })).toMatchObject({
      photoId: uuid(5),
      tagPhotoId: uuid(6),
    });
    const project = (photoId: string | null) => ({
      id: uuid(7),
      version: 1,
      brief: { anchor: { what: 'the door', why: '', photoId } },
    });
    expect(withWhatStayedBehind('project', project(null), project(uuid(5)))).toEqual(project(uuid(5)));
  });

  it('does not take a pointer to another row for one that stayed behind', () => {
    const empty = { ...look({}), spotId: null };
    expect(withWhatStayedBehind('looks', empty, look({}))).toBe(empty);
  });
});
