import type { RefusedAnswer } from '@contract/answers';
import { problemWords } from '@core/words/problemWords';

const MOST = 8;

/** What was refused, field by field, in the words of whoever typed it. Loaded when there is something to tell. */
export function RefusedFields(props: { fields: NonNullable<RefusedAnswer['fields']> }) {
  return (
    <ul>
      {props.fields.slice(0, MOST).map((field) => (
        <li key={field.field}>{problemWords(field)}</li>
      ))}
    </ul>
  );
}
