import { create } from 'zustand'

const usePicked = create<{ readonly cell: string | null }>()(() => ({ cell: null }))

/** The cell of the card that is brought out, between plate and what is given. */
export function usePickedCell(): string | null {
  return usePicked((it) => it.cell)
}

/** Brings a cell out; null: none. */
export function pickCell(cell: string | null): void {
  usePicked.setState({ cell })
}
