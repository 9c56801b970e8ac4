/** Names by which a machine reaches nobody but itself. */
const OWN = new Set(['localhost', '127.0.0.1', '[::1]']);

/** Where other devices reach the studio: as the server was told, else as this page does. */
export const placeOf = (told: string | null | undefined): string => told ?? window.location.origin;

/** Whether only this machine finds an address. */
export const isHereOnly = (place: string): boolean => OWN.has(new URL(place).hostname);
