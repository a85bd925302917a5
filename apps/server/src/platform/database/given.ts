/** What was given of a change: fields without a value stay as they are. Null is a value. */
export function given<Fields extends object>(
  fields: Fields,
): { [Name in keyof Fields]?: Exclude<Fields[Name], undefined> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as {
    [Name in keyof Fields]?: Exclude<Fields[Name], undefined>;
  };
}
