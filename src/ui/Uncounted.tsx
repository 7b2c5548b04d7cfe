import { createContext, Fragment, useContext, useEffect, useMemo } from 'react'
import type { Path, WithDoubt } from '../core/bench'
import { labelAt } from '../core/document'
import { useBenchStore } from '../state'
import { FactLink } from './FactLink'

/** Hears from each figure of a panel which counts and choices under it could be others. */
export const Uncounted = createContext<(id: string, paths: readonly Path[]) => void>(() => undefined)

/** Facts that are named in the line; the rest is counted. */
const NAMED = 3

/** Tells the panel what of a figure is not counted or chosen yet. @returns Whether anything is. */
export function useUncounted(id: string, { doubt }: Pick<WithDoubt, 'doubt'>): boolean {
  const report = useContext(Uncounted)
  const paths = useMemo(
    () => doubt?.contributions.filter((it) => it.how === 'alternatives' && it.c > 0).map((it) => it.path) ?? [],
    [doubt],
  )
  useEffect(() => {
    report(id, paths)
    return () => report(id, [])
  }, [report, id, paths])
  return paths.length > 0
}

/** One line a panel: which counts and choices could be others, so that the figures underlined with dots could be too. */
export function UncountedLine({ paths }: { readonly paths: readonly Path[] }) {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null || paths.length === 0) return null
  const named = paths.slice(0, NAMED)
  const more = paths.length - named.length
  return (
    <p className="pt-1.5 text-[12px] text-second">
      What is <span className="origin-assumed">dotted</span> could be another number until these are counted or chosen:{' '}
      {named.map((path, i) => (
        <Fragment key={path}>
          {i > 0 && ', '}
          <FactLink path={path}>{lowerFirst(labelAt(bench, path))}</FactLink>
        </Fragment>
      ))}
      {more > 0 && ` and ${more} more`}.
    </p>
  )
}

function lowerFirst(words: string): string {
  return words.charAt(0).toLowerCase() + words.slice(1)
}
