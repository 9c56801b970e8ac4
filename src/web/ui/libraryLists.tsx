import Select from 'antd/es/select';
import { Colored } from './ListToCome';
import type { ColoredEntry } from './ManyOf';

/** The component library's list, for what the browser's cannot: several at once, colors. It is large, so it comes after the page. */

const withColors = (entries: readonly ColoredEntry<string>[]) =>
  entries.map(({ value, label, color }) => ({ value, title: label, label: <Colored name={label} color={color} /> }));

/** Several of a list, found by typing. */
export function ManyList(props: {
  id: string;
  label: string;
  values: readonly string[];
  options: readonly ColoredEntry<string>[];
  onChange: (values: readonly string[]) => void;
  placeholder: string;
  most?: number | undefined;
}) {
  return (
    <Select
      mode="multiple"
      id={props.id}
      aria-label={props.label}
      value={[...props.values]}
      options={withColors(props.options)}
      onChange={props.onChange}
      placeholder={props.placeholder}
      showSearch={{ optionFilterProp: 'title' }}
      {...(props.most === undefined ? {} : { maxCount: props.most })}
      style={{ width: '100%' }}
      // Every entry is in the page, for whoever reads it by ear.
      virtual={false}
    />
  );
}

/** One of a list, each with its color. */
export function ColorList(props: {
  id: string;
  label: string;
  options: readonly ColoredEntry<string>[];
  value: string | null;
  onPick: (value: string) => void;
}) {
  return (
    <Select
      id={props.id}
      aria-label={props.label}
      value={props.value}
      placeholder="Choose a color"
      style={{ flex: 1, minWidth: 0 }}
      onChange={props.onPick}
      options={withColors(props.options)}
      popupMatchSelectWidth={false}
      notFoundContent="No color card yet"
      virtual={false}
    />
  );
}
