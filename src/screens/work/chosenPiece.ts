import { create } from 'zustand'

const useChosen = create<{ readonly piece: string | null; readonly at: number | null }>()(() => ({ piece: null, at: null }))

/** The piece that is brought out, between plate and what is given. */
export function useChosenPiece(): string | null {
  return useChosen((it) => it.piece)
}

/** Brings a piece out. */
export function choosePiece(piece: string | null): void {
  useChosen.setState({ piece })
}

/** The moment of the burn that is looked at, s; null: its end. */
export function useMoment(): number | null {
  return useChosen((it) => it.at)
}

/** Looks at a moment of the burn. */
export function lookAtMoment(at: number | null): void {
  useChosen.setState({ at })
}
