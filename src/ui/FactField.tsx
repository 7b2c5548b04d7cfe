import { useRef } from 'react'
import { isFact, showFact, getAt, type Fact, type Path } from '../core/bench'
import { benchFactSpec, labelAt, type Bench, type FactPath } from '../core/document'
import { shownBench, startEditing, stopEditing, useBenchStore, useSession } from '../state'
import { later } from './later'
import { LazyPopover } from './LazyPopover'

const FactEditor = later(async () => (await import('./FactEditor')).FactEditor)

const ORIGIN_WORDS = { measured: 'measured', stated: 'stated', assumed: 'assumed, nobody has checked' } as const

/** A fact standing in a sentence or on a drawing: what was typed, its origin as the line under it. Opens its editor. */
export function FactField({
  path,
  place = 'given',
  small = false,
}: {
  readonly path: FactPath
  readonly place?: string
  readonly small?: boolean
}) {
  const bench = useBenchStore((it) => it.bench)
  const fact = useBenchStore((it) => getAt(shownBench(it), path))
  const open = useSession(({ editing }) => editing?.path === path && editing.place === place)
  const rejected = useSession(({ drafts }) => drafts[path]?.typed)
  const spec = benchFactSpec(path)
  const button = useRef<HTMLButtonElement>(null)
  if (bench === null || !isFact(fact) || spec === undefined) return null
  return (
    <>
      <button
        ref={button}
        type="button"
        data-fact={path}
        data-place={place}
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={describe(bench, path, fact)}
        className={`num inline-flex min-h-6 items-baseline px-0.5 leading-tight hover:text-teal ${small ? 'text-[14px]' : 'text-[15px]'}`}
        onClick={() => (open ? stopEditing() : startEditing(path, place))}
        // Until the editor's code is here, the key stays with the field.
        onKeyDown={(event) => event.key === 'Escape' && open && stopEditing()}
      >
        <Shown fact={fact} />
        {rejected !== undefined && !open && <span className="ml-1 text-[12px] text-stop">“{rejected}” not accepted</span>}
      </button>
      {open && (
        <LazyPopover
          anchor={button}
          label={`Enter: ${labelAt(bench, path)}`}
          className="z-40 w-[22rem] max-w-[94vw] p-4"
          close={stopEditing}
        >
          <FactEditor key={path} path={path} fact={fact} spec={spec} bench={bench} />
        </LazyPopover>
      )}
    </>
  )
}

function Shown({ fact }: { readonly fact: Fact }) {
  const { text, unit, plusMinus } = showFact(fact)
  if (text === '') return <span className="origin-assumed text-second">enter{unit === '' ? '' : ` ${unit}`}</span>
  return (
    <span className={`origin-${fact.origin}`}>
      {text}
      {plusMinus !== null && ` ± ${plusMinus}`}
      {unit !== '' && `${unit === '°' || unit === '%' ? '' : ' '}${unit}`}
    </span>
  )
}

function describe(bench: Bench, path: Path, fact: Fact): string {
  const { text, unit, plusMinus } = showFact(fact)
  const value =
    text === '' ? 'not entered' : [text, plusMinus === null ? '' : `plus or minus ${plusMinus}`, unit].filter(Boolean).join(' ')
  return `${labelAt(bench, path)}: ${value}, ${ORIGIN_WORDS[fact.origin]}`
}
