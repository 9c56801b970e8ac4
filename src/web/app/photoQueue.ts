import type { PhotoKind, PhotoRow } from '@core/model/rows';
import { useEffect, useState } from 'react';
import { keepPicture } from '../sync/pictures';
import type { OutboxEntry } from '../sync/rowsAfter';
import { type OldPhoto, takeOldPhotos } from './oldPhotos';
import { type PreparedPhoto, preparedPhoto } from './preparedPhoto';
import { useCommands, useLocale, useRows, useStatus } from './projectStore';
import { seenFind } from './seenFind';
import { shopOfDay } from './shopOfDay';
import { useLatest } from './useLatest';

/** A picture that could not be taken, by name, with what would be accepted. */
export interface RefusedPhoto {
  name: string;
  reason: string;
}

/** Pictures of one kind on their way, and the way to add more. */
export interface PhotoQueue {
  /** How many the server does not have yet; they are shown all the same. */
  waiting: number;
  refused: readonly RefusedPhoto[];
  forget: () => void;
  add: (files: Iterable<File>, about?: string) => Promise<void>;
}

/** A picture that was taken, ready to be sent, with what it is of. */
export interface TakenPhoto extends PreparedPhoto {
  id: string;
  name: string;
  atMs: number;
  /** The find, receipt, step or piece that it is of, by its id. */
  about: string | null;
}

const isPhotoOf = (kind: PhotoKind) => (entry: OutboxEntry) =>
  (entry.command.payload as { photo?: { kind?: unknown } } | null)?.photo?.kind === kind;

/** The photos of a kind of the open project, and the way to add more. */
export function usePhotoQueue(kind: PhotoKind): PhotoQueue {
  const rows = useRows();
  const { run } = useCommands();
  const { entries } = useStatus();
  const locale = useLocale();
  const take = (taken: TakenPhoto, of: PhotoKind) => {
    const { id, name, atMs, about, widthPx, heightPx, sizeBytes } = taken;
    // A step that was done away with while its picture was on the way leaves the picture.
    const isOfStep = of === 'step' && rows.stepRuns.some((one) => one.id === about);
    const shows = isOfStep && about !== null ? { stepRunId: about } : null;
    const photo: PhotoRow = { id, version: 1, kind: of, name, atMs, shows, pair: null, widthPx, heightPx, sizeBytes };
    const inspiration =
      of === 'inspiration' ? { id: crypto.randomUUID(), version: 1, photoId: id, seenAt: '', taken: '' } : null;
    const find = of === 'find' && about === null ? seenFind(atMs, locale, shopOfDay(rows.project.id)) : null;
    run('addPhoto', { photo, inspiration, aboutId: of === 'step' ? null : about, find }, [], { id, name });
  };
  useOldPhotos(rows.project.id, (old) => take(old, old.kind as PhotoKind));
  return useTaking(entries.filter(isPhotoOf(kind)), (taken) => take(taken, kind));
}

/** Pictures of an earlier version of the app, which waited in a list of their own, are taken into the queue once. */
export function useOldPhotos(scope: string, take: (old: OldPhoto) => void): void {
  const latest = useLatest(take);
  useEffect(() => void takeOldPhotos(scope, (old) => latest.current(old)), [scope]);
}

/**
 * Takes pictures: each is made fit to be sent, kept on this device, and queued with what it is for.
 * @param entries commands of the queue that bring pictures of this kind
 */
export function useTaking(entries: readonly OutboxEntry[], take: (taken: TakenPhoto) => void): PhotoQueue {
  const [refused, setRefused] = useState<readonly RefusedPhoto[]>([]);
  const add = async (files: Iterable<File>, about?: string) => {
    const no: RefusedPhoto[] = [];
    for (const file of files) {
      const name = (file.name || 'pasted picture').slice(0, 200);
      const prepared = await preparedPhoto(file);
      if (typeof prepared === 'string') {
        no.push({ name, reason: prepared });
        continue;
      }
      const id = crypto.randomUUID();
      await keepPicture(id, prepared.blob);
      take({ ...prepared, id, name, atMs: Date.now(), about: about ?? null });
    }
    setRefused(no);
  };
  return {
    waiting: entries.filter(({ picture, state }) => picture && state === 'waiting').length,
    refused,
    forget: () => setRefused([]),
    add,
  };
}
