import type { StepRunRow } from '@core/model/rows';
import { useState } from 'react';
import { useRows } from '../../app/projectStore';
import { NumberField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { TypedField } from '../../ui/TypedField';
import { MOST_LETTERS, sayWhoIsAtIt, whoIsAtIt } from './whoIsAtIt';

/** The most who can be at one step. */
export const MOST_PEOPLE = 12;

/** Who is at a step and how many: the name is kept on the device, and written with each step that it begins. */
export function StepWho(props: {
  stepRun: StepRunRow | undefined;
  people: number;
  onPeople: (people: number) => void;
  onBy: (by: string) => void;
}) {
  const { stepRun } = props;
  const { project } = useRows();
  const [name, setName] = useState(whoIsAtIt);
  return (
    <SideBySide across={2}>
      <TypedField
        label="Who is at it"
        value={stepRun ? stepRun.by : name}
        show={(value) => value}
        read={(text) => ({ ok: true, value: text.slice(0, MOST_LETTERS) })}
        known={project.workshop.helpers.map((helper) => helper.name)}
        hint="kept on this device"
        onCommit={(value) => {
          sayWhoIsAtIt(value);
          setName(value);
          props.onBy(value);
        }}
      />
      <NumberField
        label="People at it"
        value={props.people}
        least={1}
        most={MOST_PEOPLE}
        whole
        onCommit={props.onPeople}
      />
    </SideBySide>
  );
}
