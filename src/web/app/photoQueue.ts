import type { PhotoKind, PhotoRow } from '@core/model/rows';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ApiError, api } from './api';
import { get, set } from './deviceStore';
import { useProject } from './projectStore';

/** Larger files are shrunk in the browser before they are sent; beyond the second limit they are refused. */
const SENT_AS_IT_IS = 10 * 1024 * 1024;
const MOST = 40 * 1024 * 1024;
const SHRUNK_PX = 2600;
const RETRY_MS = 3000;

/** A picture on its way: kept on the device until the server has it. */
export interface WaitingPhoto<K extends string> {
  id: string;
  kind: K;
  name: string;
  blob: Blob;
  atMs: number;
}

/** A picture that could not be taken, by name, with what would be accepted. */
export interface RefusedPhoto {
  name: string;
  reason: string;
}

const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

async function shrunk(file: File): Promise<Blob> {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, SHRUNK_PX / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
}

/** Pictures on their way, and the way to add more. */
export interface PhotoQueue<K extends string> {
  waiting: number;
  refused: readonly RefusedPhoto[];
  forget: () => void;
  add: (files: Iterable<File>, kind: K) => Promise<void>;
}

/** The photos of a project that are not with the server yet, and the way to add more. */
export function usePhotoQueue(): PhotoQueue<PhotoKind> {
  const { rows, run } = useProject();
  return usePhotoSender<PhotoKind>(`photos:${rows.project.id}`, (entry, size) => {
    const photo: PhotoRow = { id: entry.id, version: 1, kind: entry.kind, name: entry.name, atMs: entry.atMs, ...size };
    run('addPhoto', {
      photo,
      inspiration:
        entry.kind === 'inspiration'
          ? { id: crypto.randomUUID(), version: 1, photoId: entry.id, seenAt: '', taken: '' }
          : null,
    });
  });
}

/**
 * Sends pictures one after the other, each kept on the device until the server has it.
 * @param key under which they are kept
 * @param kept what to do once the server has one
 */
export function usePhotoSender<K extends string>(
  key: string,
  kept: (entry: WaitingPhoto<K>, size: { widthPx: number; heightPx: number; sizeBytes: number }) => void,
): PhotoQueue<K> {
  const onKept = useRef(kept);
  onKept.current = kept;
  const [queue, setQueue] = useState<WaitingPhoto<K>[]>([]);
  const [refused, setRefused] = useState<RefusedPhoto[]>([]);
  const sending = useRef(false);
  // Pictures come and go while others are on their way: each change is made to what is there now.
  const present = useRef<WaitingPhoto<K>[]>([]);
  const keep = useCallback(
    (change: (now: WaitingPhoto<K>[]) => WaitingPhoto<K>[]) => {
      present.current = change(present.current);
      setQueue(present.current);
      void set(key, present.current);
    },
    [key],
  );
  useEffect(() => {
    void get<WaitingPhoto<K>[]>(key).then((kept) => {
      if (!kept || kept.length === 0) return;
      keep((now) => [...kept.filter((entry) => !now.some((other) => other.id === entry.id)), ...now]);
    });
  }, [key, keep]);

  useEffect(() => {
    const [next] = queue;
    if (!next || sending.current) return;
    sending.current = true;
    let timer: ReturnType<typeof setTimeout> | null = null;
    const done = () => {
      sending.current = false;
      keep((now) => now.filter((entry) => entry.id !== next.id));
    };
    api
      .putPhoto(next.id, next.name, next.blob)
      .then((size) => {
        onKept.current(next, size);
        done();
      })
      .catch((error: unknown) => {
        if (error instanceof ApiError && error.gone) {
          timer = setTimeout(() => {
            sending.current = false;
            setQueue((now) => [...now]);
          }, RETRY_MS);
          return;
        }
        const field = error instanceof ApiError ? error.answer.fields?.[0] : undefined;
        const reason = field
          ? `${String(field.value)}; accepted: ${field.accepted}`
          : error instanceof Error
            ? error.message
            : 'refused';
        setRefused((now) => [...now, { name: next.name, reason }]);
        done();
      });
    return () => {
      if (timer) clearTimeout(timer);
    };
  }, [queue, keep]);

  const add = async (files: Iterable<File>, kind: K) => {
    const taken: WaitingPhoto<K>[] = [];
    const no: RefusedPhoto[] = [];
    for (const file of files) {
      const name = file.name || 'pasted picture';
      if (file.size > MOST) {
        no.push({ name, reason: `${megabytes(file.size)}; accepted: photos of at most ${megabytes(MOST)}` });
        continue;
      }
      if (!file.type.startsWith('image/')) {
        no.push({ name, reason: `${file.type || 'an unknown kind of file'}; accepted: photos` });
        continue;
      }
      try {
        const blob = file.size > SENT_AS_IT_IS ? await shrunk(file) : file;
        taken.push({ id: crypto.randomUUID(), kind, name, blob, atMs: Date.now() });
      } catch {
        no.push({ name, reason: 'it cannot be decoded; accepted: JPEG, PNG, WebP, AVIF' });
      }
    }
    setRefused(no);
    if (taken.length > 0) keep((now) => [...now, ...taken]);
  };
  return { waiting: queue.length, refused, forget: () => setRefused([]), add };
}
