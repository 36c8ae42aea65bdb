/** One that can be chosen in a list. */
export type Option<Value extends string | number = string> = {
  value: Value;
  label: string;
};

/** Things with an id, by their names. */
export const byName = (things: readonly { id: string; name: string }[]): Option[] =>
  things.map(({ id, name }) => ({ value: id, label: name }));

/** Values that are called as they are written, or as `name` calls them. */
export const asOptions = <Value extends string>(
  values: readonly Value[],
  name: (value: Value) => string = (value) => value,
): Option<Value>[] => values.map((value) => ({ value, label: name(value) }));
