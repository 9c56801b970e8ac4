/**
 * Pictures that the server does not have yet, as this page shows them meanwhile: addresses that lead to what the device
 * keeps.
 */
const here = new Map<string, { address: string; picture: Blob }>();

/** An address that was shown is good so much longer, ms: what is drawn with it shall not break. */
const LINGERS_MS = 60_000;

/** Shows a picture of this device under its id. */
export function showLocal(id: string, picture: Blob): void {
  if (!here.has(id)) here.set(id, { address: URL.createObjectURL(picture), picture });
}

/** The server has it: from now on it is shown from there. */
export function showFromServer(id: string): void {
  const local = here.get(id);
  if (!local) return;
  here.delete(id);
  setTimeout(() => URL.revokeObjectURL(local.address), LINGERS_MS);
}

/** The picture of an id that only this device has; null for any other. */
export const localPicture = (id: string): { address: string; picture: Blob } | null => here.get(id) ?? null;
