import { defineEntity } from '../entity';
import { line, paragraph, refersTo } from '../fields';

/** Something seen that inspires: the picture, where it was seen, what is taken from it. */
export const inspiration = defineEntity({
  table: 'inspirations',
  name: 'inspiration',
  noun: 'inspiration',
  owner: 'project',
  travels: 'always',
  fields: { photoId: refersTo('photos').nullable(), seenAt: line(0, 200), taken: paragraph(0, 600) },
});
