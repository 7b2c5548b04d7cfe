/** Rows by id are never altered, and there may be thousands of them: they are listed once. */
const listed = new WeakMap<object, readonly unknown[]>()

/** The rows of a list, in no order that is kept. */
export function valuesOf<T>(rows: Readonly<Record<string, T>>): readonly T[] {
  const known = listed.get(rows) as readonly T[] | undefined
  if (known !== undefined) return known
  const made = Object.values(rows)
  listed.set(rows, made)
  return made
}
