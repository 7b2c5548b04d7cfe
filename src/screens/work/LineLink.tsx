import { printNumber } from '../../core/units'
import { lookAtLine } from '../../state'

/** The way to a line of the program: the listing shows it, and the drawing what it does. */
export function LineLink({ line }: { readonly line: number }) {
  return (
    <button type="button" className="link" onClick={() => void lookAtLine(line)}>
      line {printNumber(line)}
    </button>
  )
}
