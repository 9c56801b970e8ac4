import { createRegistry } from '../kernel/registry';
import type { Looked } from '../state/pieceState';
import type { DetailKind } from '../surface/zone';
import type { Flaw, Inspected, Inspection, InspectionCheck } from './inspection';
import { ceramic } from './inspections/ceramic.data';
import { children } from './inspections/children.data';
import { frame } from './inspections/frame.data';
import { glass } from './inspections/glass.data';
import { greeneryFaux } from './inspections/greeneryFaux.data';
import { greeneryReal } from './inspections/greeneryReal.data';
import { laminate } from './inspections/laminate.data';
import { lamp } from './inspections/lamp.data';
import { metal } from './inspections/metal.data';
import { storage } from './inspections/storage.data';
import { textile } from './inspections/textile.data';
import { upholstery } from './inspections/upholstery.data';
import { wicker } from './inspections/wicker.data';
import { wood } from './inspections/wood.data';

/** Every checklist; a new one is a file in the folder and a line here. */
export const inspections = createRegistry<Inspection>('inspections', [
  wood,
  laminate,
  metal,
  glass,
  ceramic,
  wicker,
  upholstery,
  lamp,
  frame,
  textile,
  greeneryReal,
  greeneryFaux,
  storage,
  children,
]);

/** Every check of all lists by its id. */
export const inspectionChecks = createRegistry<InspectionCheck>(
  'inspection checks',
  inspections.all.flatMap(({ checks }) => checks),
);

/** The checklists that are meant for a thing; what can hurt somebody is asked first. */
export function inspectionsFor(piece: Inspected): readonly Inspection[] {
  return inspections.all.filter((list) => list.applies(piece));
}

/** The flaws that were found, in the order in which they were; a check that this version does not know is none. */
export function flawsFound(inspected: readonly Looked[]): { check: InspectionCheck; flaw: Flaw }[] {
  return inspected.flatMap(({ check: id, verdict }) => {
    const check = inspectionChecks.find(id);
    return verdict === 'flaw' && check?.flaw ? [{ check, flaw: check.flaw }] : [];
  });
}

/** How fiddly a thing is, as far as somebody looked; null where nobody found more than flat faces. */
export const detailFound = (inspected: readonly Looked[]): DetailKind | null =>
  flawsFound(inspected).find(({ flaw }) => flaw.detail !== null)?.flaw.detail ?? null;

/** Why a thing is better left, as far as somebody looked. */
export function breakersFound(inspected: readonly Looked[]): InspectionCheck[] {
  return inspected.flatMap(({ check: id, verdict }) => {
    const check = inspectionChecks.find(id);
    return verdict === 'breaker' && check ? [check] : [];
  });
}

/** What must still be asked or looked at before a thing is bought. */
export function openAsks(piece: Inspected, inspected: readonly Looked[]): InspectionCheck[] {
  const looked = new Set(inspected.map(({ check }) => check));
  return inspectionsFor(piece).flatMap(({ checks }) =>
    checks.filter((check) => check.asksFirst && !looked.has(check.id) && (check.needs?.(piece) ?? true)),
  );
}

/** Hands-on minutes of a practiced person that the found flaws ask for. */
export const flawMinutes = (inspected: readonly Looked[]): number =>
  flawsFound(inspected).reduce((sum, { flaw }) => sum + flaw.minutes, 0);
