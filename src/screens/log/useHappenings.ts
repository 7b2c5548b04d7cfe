import { useDeferredValue, useMemo } from 'react'
import { searched, type Happening } from '../../core/log'
import { happenings, useBenchStore } from '../../state'
import { useAsked } from './asked'

/** All rows of the log, and those that are looked for; the search follows the typing. */
export function useHappenings(): { readonly all: readonly Happening[]; readonly shown: readonly Happening[] } {
  const bench = useBenchStore((it) => it.bench)
  const records = useBenchStore((it) => it.records)
  const words = useDeferredValue(useAsked((it) => it.words))
  const lanes = useAsked((it) => it.lanes)
  const all = useMemo(() => (bench === null ? [] : happenings(bench, records)), [bench, records])
  const shown = useMemo(() => searched(all, words, lanes), [all, words, lanes])
  return { all, shown }
}
