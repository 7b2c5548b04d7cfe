/** An entry of a calendar file. Times as local clock time, `YYYYMMDDTHHMMSS`. */
export interface CalendarEvent {
  readonly id: string
  readonly title: string
  readonly note: string
  readonly start: string
  readonly end: string
}

/**
 * A calendar file of events by the local clock.
 * @param stamp When it is written, UTC, `YYYYMMDDTHHMMSSZ`.
 * Source: RFC 5545: CRLF, folding at 75 octets, escaping of text; floating local times.
 */
export function writeCalendarFile(events: readonly CalendarEvent[], stamp: string): string {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Fine Kerf//Plan//EN',
    ...events.flatMap(({ id, title, note, start, end }) => [
      'BEGIN:VEVENT',
      `UID:${escaped(id)}@fine-kerf`,
      `DTSTAMP:${stamp}`,
      `DTSTART:${start}`,
      `DTEND:${end}`,
      `SUMMARY:${escaped(title)}`,
      ...(note === '' ? [] : [`DESCRIPTION:${escaped(note)}`]),
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ]
  return `${lines.map(folded).join('\r\n')}\r\n`
}

function escaped(text: string): string {
  return text.replace(/[\\;,]/g, (it) => `\\${it}`).replace(/\r?\n/g, '\\n')
}

/** Breaks a line at 75 octets without cutting a character in two. */
function folded(line: string): string {
  const parts: string[] = []
  let part = ''
  let octets = 0
  for (const sign of line) {
    const size = octetsOf(sign)
    const most = parts.length === 0 ? 75 : 74
    if (octets + size > most) {
      parts.push(part)
      part = ''
      octets = 0
    }
    part += sign
    octets += size
  }
  return [...parts, part].join('\r\n ')
}

/** Length of a character in UTF-8. */
function octetsOf(sign: string): number {
  const code = sign.codePointAt(0) ?? 0
  return code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4
}
