import type { AssumptionDefinition } from '@core/catalog/assumptions';
import { formatLength } from '@core/kernel/formatLength';
import { isQuantity, quantityUnit, shownQuantity } from '@core/kernel/quantities';
import type { UnitSystem } from '@core/kernel/units';
import { LengthField, NumberField, QuantityField } from './fields';

/** A figure of an assumption as the project shows it, without its unit. */
export function shownFigure(definition: AssumptionDefinition, value: number, units: UnitSystem): string {
  const { unit } = definition;
  if (unit === 'mm') return formatLength(value, units);
  const shown = isQuantity(unit) ? shownQuantity(value, unit, units) : value;
  return String(Math.round(shown * 100) / 100);
}

/** The unit behind an assumption's figures; empty where they have none. */
export function figureUnit(definition: AssumptionDefinition, units: UnitSystem): string {
  return isQuantity(definition.unit) ? quantityUnit(definition.unit, units) : '';
}

/** Changes an assumption: typed in any unit, shown in the project's. */
export function AssumptionField(props: {
  definition: AssumptionDefinition;
  value: number;
  units: UnitSystem;
  onCommit: (value: number) => void;
  hint?: string;
  hideLabel?: boolean;
  autoFocus?: boolean;
  width?: number;
}) {
  const { definition, ...rest } = props;
  const { label, unit, minimum: least, maximum: most } = definition;
  if (unit === 'mm') return <LengthField {...rest} label={label} zero={least === 0} />;
  return isQuantity(unit) ? (
    <QuantityField {...rest} label={label} kind={unit} least={least} most={most} />
  ) : (
    <NumberField {...rest} label={label} least={least} most={most} />
  );
}
