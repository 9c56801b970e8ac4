import { afterAll } from 'vitest';
import { Person } from './browser';
import { Euporia } from './euporia';

/** Euporia with its demo and somebody in front of it, for one file of journeys; gone when the file is done. */
export async function demoAndPerson() {
  const euporia = await Euporia.start();
  const person = await Person.open();
  afterAll(async () => {
    await person.close();
    await euporia.remove();
  });
  const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
  /** The id of the demo's bedroom under the roof. */
  const attic = projects.find((project) => project.name === 'Attic bedroom')?.id ?? '';
  return { euporia, person, attic };
}
