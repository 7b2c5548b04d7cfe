import type { OnProfile } from '../core/air'
import type { Outline } from '../core/artwork'

/** A turned part as binary STL, mm. */
export async function solidOfProfile(profile: readonly OnProfile[]): Promise<Uint8Array> {
  return (await import('./solidOf')).turnedStl(profile)
}

/** A plate of so many mm as binary STL. */
export async function solidOfPlate(cut: readonly Outline[], thick: number): Promise<Uint8Array> {
  return (await import('./solidOf')).plateStl(cut, thick)
}
