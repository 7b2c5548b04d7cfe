// Fetched where a part is saved as a solid.
import { meshToStl, revolve, type OnProfile } from '../core/air'
import type { Outline } from '../core/artwork'
import { plateSolid } from '../data/plateSolid'

export const turnedStl = (profile: readonly OnProfile[]): Uint8Array => meshToStl(revolve(profile))
export const plateStl = (cut: readonly Outline[], thick: number): Uint8Array => meshToStl(plateSolid(cut, thick))
