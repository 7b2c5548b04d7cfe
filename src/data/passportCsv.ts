import type { PassportSection } from '../core/document'

/** A passport as CSV: section, what, how much, how it is known, day. */
export async function writePassport(sections: readonly PassportSection[]): Promise<string> {
  const { unparse } = (await import('papaparse')).default
  const data = sections.flatMap(({ title, rows }) =>
    rows.map(({ label, value, known, day }) => ({ section: title, what: label, value, known, day })),
  )
  const fields = ['section', 'what', 'value', 'known', 'day']
  return `${unparse({ fields, data }, { escapeFormulae: true, newline: '\n' })}\n`
}
