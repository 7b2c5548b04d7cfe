import type { ReactNode } from 'react'

/** Facts standing in a sentence. */
export function Sentence({ children }: { readonly children: ReactNode }) {
  return <p className="max-w-[46rem] pt-1.5 text-[15px] leading-[1.85]">{children}</p>
}
