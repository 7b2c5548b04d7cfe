import { bare, group, text, word, type Of } from '../bench'

/** How lines end on a link. */
export const LINE_ENDS = ['lf', 'crlf', 'cr'] as const

/**
 * How a controller is spoken with over a cable: its speed, its acknowledgements, and what it is asked with. Templates have
 * named fields: `{any}` for what does not matter, in an answer of its state `{state}`, `{x}`, `{y}` and `{power}`.
 */
export const linkCardShape = group(
  {
    baud: bare({ whole: true, min: 300, max: 4_000_000 }),
    lineEnd: word(LINE_ENDS, 'lf'),
    /** What it answers where it has taken a line, and where it refuses one: how the answer begins. */
    taken: text(1, 40, 'ok'),
    refused: text(1, 40, 'error'),
    /** Whether it answers for a line when it has taken it into its store, or when it has carried it out. */
    acknowledges: word(['taken', 'done'] as const, 'taken'),
    /** How it greets when it has started; nothing where it does not. */
    greets: text(0, 60, ''),
    /** Lines that begin so are remarks of its own and mean nothing here. */
    remarks: text(0, 20, '('),
    /** What it is asked with for its list of settings, and for its state. */
    list: text(1, 60, 'list'),
    state: text(0, 60, 'state'),
    /** How it answers for its state. */
    stateIs: text(0, 200, 'state {state} x {x} y {y} power {power}'),
    /** The words for its states, parted by blanks: at rest, and stopped by hand. */
    resting: text(1, 60, 'rest'),
    /** Power word at full, for `{power}`; 1 where it says a share. */
    fullPower: bare({ above: 0, max: 1e9 }),
    /** What stops it at once, beam off; `\\x18` for a character without a letter. Sent without a line end where it is one character. */
    stop: text(1, 60, 'stop'),
    pause: text(0, 60, 'pause'),
    goOn: text(0, 60, 'go on'),
    /** Characters that it can hold of lines not carried out yet; 0: one line at a time. */
    holds: bare({ whole: true, min: 0, max: 65_536 }),
  },
  { stage: 'controller', part: 'settings' },
)
export type LinkCard = Of<typeof linkCardShape>
