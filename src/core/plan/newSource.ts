import type { SourceKind } from '../catalog/sourceKind';
import { sourceKindOf } from '../catalog/sourceKinds';
import type { SourceRow } from '../model/rows';

/** How long shops usually take things back, where they do (common practice, no source). */
const USUAL_RETURN_DAYS = 30;

/** What a kind of place usually does: its tax, and whether it takes things back. */
export function usualOf(kind: SourceKind): Pick<SourceRow, 'tax' | 'returns'> {
  return {
    tax: kind.usualTax === 'none' ? { percentThousandths: 0, included: false } : null,
    returns:
      kind.usualReturns === 'within'
        ? { state: 'within', days: USUAL_RETURN_DAYS, restockingThousandths: 0 }
        : { state: kind.usualReturns },
  };
}

/**
 * A place of which only the name is known; its kind is read from the name, and with it what is usual there.
 * @param id made on the device
 */
export function newSource(id: string, name: string, kind: SourceKind = sourceKindOf(name)): SourceRow {
  return {
    id,
    version: 1,
    name: name.trim(),
    kind: kind.id,
    ...usualOf(kind),
    minutesOneWay: null,
    distanceM: null,
    hours: [],
    timeZone: null,
    delivers: null,
    patterns: [],
    note: '',
  };
}

/** The place of a name, however it is written. */
export const sourceNamed = <S extends Pick<SourceRow, 'name'>>(sources: readonly S[], name: string): S | undefined =>
  sources.find((source) => source.name.toLowerCase() === name.trim().toLowerCase());
