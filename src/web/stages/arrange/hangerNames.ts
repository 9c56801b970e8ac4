import type { HangerKind } from '@core/model/entities/lookPiece';

/** What a thing hangs by, as one says it. */
export const hangerNames: Readonly<Record<HangerKind, string>> = {
  wire: 'a wire',
  twoRings: 'two rings',
  keyholes: 'keyholes',
  middle: 'one tooth or ring in the middle',
  hook: 'a hook',
};
