import { shownNumber, type Engine } from '../bench'
import { readListing, rewriteListing, unitOfListed } from '../controller'
import { fromCore, unitOf } from '../units'
import type { Bench } from './bench'
import { compareSettings, type ComparedSetting } from './settings'

/** A machine's list as the bench would have it: what was written into it, and the settings that changed. */
export interface ListingByBench {
  readonly text: string
  readonly changed: readonly ComparedSetting[]
}

/**
 * Writes what the bench says into a machine's own list, in its shape and its units; only settings that differ are changed,
 * and what rests on a guess is left as it stands.
 */
export function listingByBench(engine: Engine<Bench>, text: string): ListingByBench {
  const { entries } = readListing(text)
  const byKey = new Map(entries.map((it) => [it.key, it]))
  const wanted: Record<string, number | 'yes' | 'no'> = {}
  const changed = compareSettings(engine).filter((it) => {
    const entry = byKey.get(it.key)
    if (entry === undefined || it.wanted === null || it.unchecked !== null) return false
    const value = valueIn(engine, it, `${entry.key} ${entry.words}`)
    if (typeof value === 'string' ? it.standing !== 'differs' : value === null || alike(value, entry.text)) return false
    if (value !== null) wanted[it.key] = value
    return true
  })
  return { text: rewriteListing(text, entries, wanted), changed }
}

/** What the bench says, in the unit of the line. */
function valueIn(engine: Engine<Bench>, it: ComparedSetting, words: string): number | 'yes' | 'no' | null {
  if (it.setting.kind === 'followsSpeed') return it.wanted === '1' ? 'yes' : 'no'
  const value = shownNumber(engine.byId(it.figure.id, it.figure.args).result)
  if (value === null) return null
  const unit = unitOfListed(it.setting, words, engine.bench.controller)
  // As many decimals as the setting has, and for a larger unit as many more.
  const decimals = it.setting.decimals + Math.max(0, Math.round(Math.log10(unitOf(unit).scale)))
  return Number(fromCore(value, unit).toFixed(decimals))
}

/** Whether a listed number is that value at its own decimals. */
function alike(value: number, listed: string): boolean {
  const decimals = /\.(\d+)$/.exec(listed)?.[1]?.length ?? 0
  return Number(value.toFixed(decimals)) === Number(listed)
}
