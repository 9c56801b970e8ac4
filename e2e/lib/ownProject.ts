import type { Person } from './browser';

/** Begins a project of one's own from the start page. */
export async function beginProject(person: Person, address: string, name: string, budget: string): Promise<void> {
  await person.goto(address);
  await person.press('New project');
  await person.fill('Name', name);
  await person.fill('Budget', budget);
  await person.press('Make the project');
}

/** Names a spot of the open project, and the slots that it calls for. */
export async function sketchSpot(person: Person, spot: string, slots: readonly string[]): Promise<void> {
  await person.stage('Sketch');
  await person.fill('Name of the new spot', spot, 'enter');
  for (const slot of slots) await person.fill('Name of the new slot', slot, 'enter');
}

/** Adds a way to fill a slot on the board that is open. */
export async function addWay(person: Person, kind: string, slot: string, what: string, cost: string): Promise<void> {
  await person.press(`+ ${kind} for ${slot}`);
  await person.fill('What is it?', what);
  await person.fill('What does it cost?', cost, 'enter');
  await person.saved();
}
