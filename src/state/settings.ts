import { create } from 'zustand'
import { persist } from 'zustand/middleware'

export type Theme = 'system' | 'light' | 'dark'

/** What belongs to this browser and to no bench. */
export const useSettings = create<{ readonly theme: Theme }>()(
  persist((): { readonly theme: Theme } => ({ theme: 'system' }), { name: 'fine-kerf.settings' }),
)

export function setTheme(theme: Theme): void {
  useSettings.setState({ theme })
}
