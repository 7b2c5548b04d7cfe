import { memo } from 'react'
import { isFact, showFact, getAt, type Fact } from '../core/bench'
import { benchFactSpec, labelAt, type FactPath } from '../core/document'
import { shownBench, useBenchStore, useSession } from '../state'
import { FieldButton } from './FieldButton'
import { later } from './later'

const FactEditor = later(async () => (await import('./FactEditor')).FactEditor)

const ORIGIN_WORDS = { measured: 'measured', stated: 'stated', assumed: 'assumed, nobody has checked' } as const

/**
 * A fact standing in a sentence or on a drawing: what was typed, its origin as the line under it. Opens its editor.
 * It is drawn again when it is another fact or is called otherwise, not with every edit of the bench.
 */
export const FactField = memo(function FactField({
  path,
  place = 'given',
  small = false,
  bare = false,
}: {
  readonly path: FactPath
  readonly place?: string
  readonly small?: boolean
  /** Its ± left out: a drawing may have no room for it. */
  readonly bare?: boolean
}) {
  const fact = useBenchStore((it) => getAt(shownBench(it), path))
  const label = useBenchStore(({ bench }) => (bench === null ? '' : labelAt(bench, path)))
  const rejected = useSession(({ drafts }) => drafts[path]?.typed)
  const spec = benchFactSpec(path)
  if (!isFact(fact) || spec === undefined) return null
  return (
    <FieldButton
      path={path}
      place={place}
      says={describe(label, fact)}
      className={`num inline-flex items-baseline ${small ? 'text-[14px]' : 'text-[15px]'}`}
      face={(open) => (
        <>
          <Shown fact={fact} bare={bare} />
          {rejected !== undefined && !open && <span className="ml-1 text-[12px] text-stop">“{rejected}” not accepted</span>}
        </>
      )}
      sheet={{
        label: `Enter: ${label}`,
        className: 'w-[22rem] max-w-[94vw] p-4',
        is: () => <FactEditor key={path} path={path} fact={fact} spec={spec} />,
      }}
    />
  )
})

function Shown({ fact, bare }: { readonly fact: Fact; readonly bare: boolean }) {
  const { text, unit, plusMinus } = showFact(fact)
  if (text === '')
    return (
      <span className="origin-assumed text-second">
        <span className="print:hidden">enter</span>
        {/* On paper there is room to write. */}
        <span className="hidden w-12 print:inline-block" aria-hidden />
        {unit === '' ? '' : ` ${unit}`}
      </span>
    )
  return (
    <span className={`origin-${fact.origin}`}>
      {text}
      {plusMinus !== null && !bare && ` ± ${plusMinus}`}
      {unit !== '' && !bare && `${unit === '°' || unit === '%' ? '' : ' '}${unit}`}
    </span>
  )
}

function describe(label: string, fact: Fact): string {
  const { text, unit, plusMinus } = showFact(fact)
  const value =
    text === '' ? 'not entered' : [text, plusMinus === null ? '' : `plus or minus ${plusMinus}`, unit].filter(Boolean).join(' ')
  return `${label}: ${value}, ${ORIGIN_WORDS[fact.origin]}`
}
