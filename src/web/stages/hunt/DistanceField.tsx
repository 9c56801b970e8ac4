import { useLocale } from '../../app/projectStore';
import { longUnit } from '../../app/words';
import { NumberField } from '../../ui/fields';

/** A way in the project's long unit, kept in meters; nothing while nobody knows. */
export function DistanceField(props: {
  label: string;
  value: number | null;
  onCommit: (meters: number | null) => void;
}) {
  const { sign, meters } = longUnit(useLocale().units);
  return (
    <NumberField
      label={`${props.label}, ${sign}`}
      value={props.value === null ? null : Math.round((props.value / meters) * 100) / 100}
      nullable
      least={0}
      most={1200}
      onCommit={(far) => props.onCommit(far === null ? null : Math.round(far * meters))}
    />
  );
}
