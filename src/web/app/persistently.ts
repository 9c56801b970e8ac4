/** A part that could not be brought is asked for again after so long, ms. */
const AGAIN_MS = 1000;

/** Brings a part of the app that somebody waits for, however often it takes: a signal comes and goes. */
export async function persistently<T>(load: () => Promise<T>): Promise<T> {
  for (;;)
    try {
      return await load();
    } catch {
      await new Promise((done) => setTimeout(done, AGAIN_MS));
    }
}
