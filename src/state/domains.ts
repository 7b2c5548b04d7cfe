import type { Domain } from '../core/bench'
import { DOMAIN_LOADERS, type DomainId } from '../core/document'

const ALL = Object.keys(DOMAIN_LOADERS) as DomainId[]

/** What has been fetched, and what is on its way. */
const here = new Map<DomainId, Domain>()
const asked = new Map<DomainId, Promise<void>>()
const listeners = new Set<(domain: Domain) => void>()

/** The domains that are here, in their order. */
export function loadedDomains(): readonly Domain[] {
  return ALL.flatMap((id) => here.get(id) ?? [])
}

/** Whether nothing is left to fetch. */
export function areAllHere(): boolean {
  return here.size === ALL.length
}

/** Tells of each domain that comes. */
export function onDomain(hear: (domain: Domain) => void): void {
  listeners.add(hear)
}

/** Fetches domains, all of them unless some are named; what is here or on its way is not asked for again. */
export async function loadDomains(ids: readonly DomainId[] = ALL): Promise<void> {
  await Promise.all(ids.map(load))
}

function load(id: DomainId): Promise<void> {
  const known = asked.get(id)
  if (known !== undefined) return known
  const coming = DOMAIN_LOADERS[id]().then((domain) => {
    here.set(id, domain)
    for (const hear of listeners) hear(domain)
  })
  // What could not be fetched may be asked for again.
  coming.catch(() => asked.delete(id))
  asked.set(id, coming)
  return coming
}
