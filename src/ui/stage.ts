import type { ComponentType, ReactNode } from 'react'
import type { Bench, DomainId, StageId } from '../core/document'

/** One part of a stage, in the address and above the plate. */
export interface PartDef {
  readonly id: string
  readonly name: string
  /** Only then is it offered; without it always. */
  readonly when?: (bench: Bench) => boolean
  /** What works what this part alone shows, fetched with it beside the stage's. */
  readonly domains?: readonly DomainId[]
}

/** What a part says of itself. */
export interface PartWords {
  /** What to do with the plate, in a sentence. */
  readonly about: string
  /** The same for a machine of which that is not true; null where it is. */
  readonly aboutFor?: (bench: Bench) => string | null
  /** Where the part asks another question than its stage. */
  readonly question?: string
}

/** What a part of a stage shows: plate, given and side of one sheet, or a sheet of its own. */
export type PartSheet =
  | { readonly plate: ComponentType; readonly given: ComponentType; readonly side: ComponentType }
  | { readonly sheet: ComponentType<{ readonly parts: ReactNode }> }

/** A stage of the route. Whatever lists, opens or tests stages reads this. */
export interface StageDef {
  readonly id: StageId
  readonly name: string
  readonly question: string
  /** In the order of the work; the first is open where the address names none. */
  readonly parts: readonly PartDef[]
  /** What works and judges what the parts show: fetched with them. */
  readonly domains: readonly DomainId[]
  /** Fetches what the parts say of themselves, by id of the part. */
  readonly words: () => Promise<Readonly<Record<string, PartWords>>>
  /** Fetches what the parts show, by id of the part. */
  readonly load: () => Promise<Readonly<Record<string, PartSheet>>>
}

/** The parts of a stage that make sense for a machine. */
export function partsFor({ parts }: StageDef, bench: Bench | null): readonly PartDef[] {
  return parts.filter((it) => bench === null || it.when === undefined || it.when(bench))
}

/** A stage whose sheets are those of its parts, no more and no less. */
export function stage<const P extends readonly PartDef[]>(
  def: Omit<StageDef, 'parts' | 'words' | 'load'> & {
    readonly parts: P
    readonly words: () => Promise<Readonly<Record<P[number]['id'], PartWords>>>
    readonly load: () => Promise<Readonly<Record<P[number]['id'], PartSheet>>>
  },
): StageDef {
  return def
}
