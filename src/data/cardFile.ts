import { z } from '../core/zod'
import { schemaOf } from '../core/bench'
import { linkCardFindings, linkCardShape, type LinkCard } from '../core/controller'
import { benchCardShape, PLAIN_CARD, readCard, type BenchCard } from '../core/gcode'
import { accepted, refused, type Outcome } from '../core/units'

const cardSchema = z.strictObject({
  kind: z.literal('fine-kerf.card'),
  version: z.literal(1),
  card: schemaOf(benchCardShape),
  link: schemaOf(linkCardShape),
})

export interface CardFile {
  readonly card: BenchCard
  readonly link: LinkCard
}

/** An output card and its link card as a file. */
export function writeCardFile({ card, link }: CardFile): string {
  return `${JSON.stringify({ kind: 'fine-kerf.card', version: 1, card, link }, null, 2)}\n`
}

/** Reads such a file; a card that would leave the beam on is refused as one that is typed. */
export function readCardFile(text: string): Outcome<CardFile> {
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    return refused('card-file', 'This is no file of an output card: it is no JSON. Take one that was saved here.')
  }
  const read = cardSchema.safeParse(raw)
  if (!read.success) {
    const [issue] = read.error.issues
    const at = issue === undefined || issue.path.length === 0 ? '' : `, at ${issue.path.join('.')}`
    return refused(
      'card-file',
      `This is no file of an output card${at}: ${issue?.message ?? 'it cannot be read'}. Take one that was saved here.`,
    )
  }
  const { card, link } = read.data as CardFile
  const checked = readCard({ ...card, fullPower: PLAIN_CARD.fullPower })
  if (!checked.ok) return checked
  const bad = linkCardFindings(link).filter((it) => it.severity === 'error')
  return bad.length > 0 ? { ok: false, findings: bad } : accepted({ card, link }, checked.findings)
}
