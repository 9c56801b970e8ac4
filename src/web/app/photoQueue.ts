import type { PhotoKind, PhotoRow } from '@core/model/rows';
import { useEffect, useState } from 'react';
import { type PhotoPage, photoSender, type RefusedPhoto, type WaitingPhoto } from './photoSender';
import { useCommands, useLocale, useRows } from './projectStore';
import { seenFind } from './seenFind';
import { shopOfDay } from './shopOfDay';
import { useLatest } from './useLatest';

/** Larger files are shrunk in the browser before they are sent; beyond the second limit they are refused. */
const SENT_AS_IT_IS = 10 * 1024 * 1024;
const MOST = 40 * 1024 * 1024;
const SHRUNK_PX = 2600;

const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

async function shrunk(file: File): Promise<Blob> {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, SHRUNK_PX / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
}

/** Pictures of one kind on their way, and the way to add more. */
export interface PhotoQueue {
  waiting: number;
  refused: readonly RefusedPhoto[];
  forget: () => void;
  add: (files: Iterable<File>, about?: string) => Promise<void>;
}

/** The photos of a kind that the project's server does not have yet, and the way to add more. */
export function usePhotoQueue(kind: PhotoKind): PhotoQueue {
  const rows = useRows();
  const { run } = useCommands();
  const locale = useLocale();
  return usePhotoSender<PhotoKind>(rows.project.id, kind, (entry, size) => {
    const { id, kind: taken, name, atMs, about = null } = entry;
    // A step that was done away with while its picture was on the way leaves the picture.
    const isOfStep = taken === 'step' && rows.stepRuns.some((one) => one.id === about);
    const shows = isOfStep && about !== null ? { stepRunId: about } : null;
    const photo: PhotoRow = { id, version: 1, kind: taken, name, atMs, shows, ...size };
    run('addPhoto', {
      photo,
      inspiration:
        taken === 'inspiration' ? { id: crypto.randomUUID(), version: 1, photoId: id, seenAt: '', taken: '' } : null,
      aboutId: taken === 'step' ? null : about,
      find: taken === 'find' && about === null ? seenFind(atMs, locale, shopOfDay(rows.project.id)) : null,
    });
  });
}

/**
 * Pictures of a kind on their way to the server.
 * @param scope whose they are: a project's id, or `house`
 * @param kept what to do once the server has one of any kind of this scope
 */
export function usePhotoSender<K extends string>(scope: string, kind: K, kept: PhotoPage<K>['kept']): PhotoQueue {
  const sender = photoSender<K>(scope);
  const onKept = useLatest(kept);
  const [, redraw] = useState(0);
  useEffect(
    () =>
      sender.attach({
        changed: () => redraw((n) => n + 1),
        kept: (entry, size) => onKept.current(entry, size),
      }),
    [sender],
  );

  const add = async (files: Iterable<File>, about?: string) => {
    const taken: WaitingPhoto<K>[] = [];
    const no: RefusedPhoto<K>[] = [];
    for (const file of files) {
      const name = file.name || 'pasted picture';
      const refuse = (reason: string) => no.push({ kind, name, reason });
      if (file.size > MOST) {
        refuse(`${megabytes(file.size)}; accepted: photos of at most ${megabytes(MOST)}`);
        continue;
      }
      if (!file.type.startsWith('image/')) {
        refuse(`${file.type || 'an unknown kind of file'}; accepted: photos`);
        continue;
      }
      try {
        const blob = file.size > SENT_AS_IT_IS ? await shrunk(file) : file;
        taken.push({ id: crypto.randomUUID(), kind, name, blob, atMs: Date.now(), about });
      } catch {
        refuse('it cannot be decoded; accepted: JPEG, PNG, WebP, AVIF');
      }
    }
    sender.refuse(kind, no);
    if (taken.length > 0) await sender.add(taken);
  };
  return {
    waiting: sender.waiting.filter((entry) => entry.kind === kind).length,
    refused: sender.refused.filter((entry) => entry.kind === kind),
    forget: () => sender.refuse(kind, []),
    add,
  };
}
