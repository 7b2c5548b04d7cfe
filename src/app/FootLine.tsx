import { isPracticeId } from '../core/document'
import { displayUnit, printQuantity, sayShare } from '../core/units'
import { redo, stopMachine, undo, useBenchStore, useHistory, useMachine, useSession, type SaveState } from '../state'
import { later, Legend, useUnits } from '../ui'

/** Only on the bench of a practice machine. */
const PracticeSign = later(async () => (await import('./PracticeSign')).PracticeSign)

/** The foot line: the beam's state, where the head stands in the picture, origins, undo, saving, the palette. */
export function FootLine() {
  const history = useHistory()
  const isPractice = useBenchStore(({ bench }) => bench !== null && isPracticeId(bench.id))
  return (
    <footer className="no-print flex min-h-[34px] flex-wrap items-center gap-x-6 gap-y-1 border-t border-ink px-4 py-1 text-[13px] md:col-span-2">
      <Beam />
      {isPractice && <PracticeSign />}
      <HeadPosition />
      <span className="ml-auto flex flex-wrap items-center gap-x-5 gap-y-1">
        <span className="hidden text-[12px] sm:block">
          <Legend />
        </span>
        <span className="flex gap-3">
          <Step words="Undo" what={history.undo} act={undo} />
          <Step words="Redo" what={history.redo} act={redo} />
        </span>
        <Saved />
        <button type="button" className="min-h-6 hover:text-teal" onClick={() => useSession.setState({ shortcuts: true })}>
          ? Keys
        </button>
        <button type="button" className="min-h-6 hover:text-teal" onClick={() => useSession.setState({ palette: true })}>
          Ctrl K
        </button>
      </span>
    </footer>
  )
}

/** The beam's state, and the way to end it while something runs. Not known counts as on. */
function Beam() {
  const { link, running, beam, report, stop, isCable } = useMachine()
  const lit = beam !== 'off'
  const power = beam === 'on' ? `, ${sayShare(report?.power ?? 0)}` : ''
  return (
    <span className="flex items-center gap-1.5" data-beam={beam}>
      <svg width="12" height="12" viewBox="0 0 12 12" aria-hidden>
        <circle
          cx="6"
          cy="6"
          r="4.6"
          fill={beam === 'on' ? 'var(--ember)' : 'none'}
          stroke={lit ? 'var(--ember)' : 'var(--ink)'}
          strokeWidth={lit ? 2 : 1.4}
          strokeDasharray={beam === 'not known' ? '2.4 1.9' : undefined}
        />
      </svg>
      {beam === 'off' ? `Beam off, ${sayLink(link, running, isCable)}` : beam === 'on' ? `Beam on${power}` : 'Beam may be on'}
      {stop === 'asked' && ', told to stop'}
      {(running || lit) && (
        <button type="button" className="button ml-2 min-h-7 py-0" onClick={stopMachine}>
          Stop
        </button>
      )}
    </span>
  )
}

function sayLink(link: 'none' | 'opening' | 'open' | 'faulted', running: boolean, isCable: boolean): string {
  const name = isCable ? 'controller' : 'stand-in'
  switch (link) {
    case 'none':
      return 'no machine connected'
    case 'opening':
      return 'connecting'
    case 'faulted':
      return `${name} at fault`
    case 'open':
      return running ? `being sent to the ${name}` : `${name} at rest`
  }
}

function HeadPosition() {
  const report = useMachine((it) => it.report)
  const pictured = useSession((it) => it.head)
  const head = report ?? pictured
  const system = useUnits()
  const unit = displayUnit('length', system)
  const print = (value: number): string => {
    const decimals = system === 'metric' ? 0.01 : 0.0254
    return printQuantity(Math.round(value / decimals) * decimals, null, unit).value
  }
  if (head === null) return null
  return (
    <span
      className="num hidden text-second sm:block"
      role="note"
      aria-label={report === null ? 'Head in the picture' : 'Head of the machine'}
    >
      X {print(head.x)} Y {print(head.y)} {unit}
    </span>
  )
}

function Step({ words, what, act }: { readonly words: string; readonly what: string | null; readonly act: () => unknown }) {
  return (
    <button
      type="button"
      className="min-h-6 hover:text-teal disabled:text-second disabled:opacity-70"
      disabled={what === null}
      title={what ?? undefined}
      onClick={() => act()}
    >
      {words}
    </button>
  )
}

function Saved() {
  const save = useBenchStore((it) => it.save)
  return (
    <span role="status" className="min-w-24 text-second">
      {sayState(save)}
    </span>
  )
}

function sayState(save: SaveState): string {
  switch (save.kind) {
    case 'saved':
      return save.at === ''
        ? ''
        : `Saved ${new Date(save.at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`
    case 'saving':
      return 'Saving …'
    case 'changed-elsewhere':
      return save.unsaved ? 'Not saved: changed elsewhere' : 'Changed elsewhere'
    case 'newer':
      return 'Not saved: a newer Fine Kerf has it'
    case 'full':
      return 'Not saved: disk full'
    case 'failed':
      return 'Not saved'
  }
}
