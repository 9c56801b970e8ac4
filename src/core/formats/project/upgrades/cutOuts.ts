import type { FileUpgrade } from './index';
import { isObject } from './loose';

/** Version 15 knew no cut-outs of photographed pieces. */
export const cutOuts: FileUpgrade = {
  from: 15,
  upgrade: (file) => ({
    ...file,
    ...(Array.isArray(file.pieces)
      ? { pieces: file.pieces.map((piece) => (isObject(piece) ? { cutOut: null, ...piece } : piece)) }
      : {}),
  }),
};
