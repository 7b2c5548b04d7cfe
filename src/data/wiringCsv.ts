import { GAUGES } from '../core/electrical'
import type { Bench } from '../core/document'

/** The wiring list as CSV: from, to, what it carries, colour, wire, length one way in mm, connector, fuse in A. */
export async function writeWiring({ electrical: { blocks, wires } }: Bench): Promise<string> {
  const { unparse } = (await import('papaparse')).default
  const name = (id: string): string => blocks[id]?.name ?? ''
  const data = Object.values(wires)
    .sort((p, q) => p.order - q.order)
    .map(({ from, to, kind, colour, gauge, length, connector, fuse }) => ({
      from: name(from),
      to: name(to),
      carries: kind,
      colour,
      wire: gauge.chosen === null ? '' : GAUGES[gauge.chosen],
      'length, mm': length.value ?? '',
      connector,
      'fuse, A': fuse.value ?? '',
    }))
  const fields = ['from', 'to', 'carries', 'colour', 'wire', 'length, mm', 'connector', 'fuse, A']
  return `${unparse({ fields, data }, { escapeFormulae: true, newline: '\n' })}\n`
}
