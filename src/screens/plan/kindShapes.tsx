import type { KindId } from '../../core/schedule'

/** How a kind of part looks from the side that tells it, in a window of 64 by 44; drawn by hand, to no scale. */
const SHAPES: Readonly<Record<KindId, string>> = {
  bar: 'M4 16h56v12h-56zM4 20h56M4 24h56',
  plate:
    'M12 6h40v32h-40zM20 14m-3 0a3 3 0 1 0 6 0a3 3 0 1 0 -6 0M44 14m-3 0a3 3 0 1 0 6 0a3 3 0 1 0 -6 0M32 30m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0',
  angle: 'M18 6v32h32v-6h-26v-26zM21 16h0M38 35h0M21 13a2 2 0 1 0 .1 0M40 35a2 2 0 1 0 .1 0',
  motor:
    'M14 8h28v28h-28zM28 22m-8 0a8 8 0 1 0 16 0a8 8 0 1 0 -16 0M42 20h12v4h-12M17 11h2v2h-2zM37 11h2v2h-2zM17 31h2v2h-2zM37 31h2v2h-2z',
  pulley: 'M20 8h4v28h-4zM24 12h14v20h-14zM38 8h4v28h-4zM27 12v20M31 12v20M35 12v20M42 18h8v8h-8M46 18v3',
  idler: 'M20 8h4v28h-4zM24 12h14v20h-14zM38 8h4v28h-4zM31 22m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0',
  wheel:
    'M32 22m-16 0a16 16 0 1 0 32 0a16 16 0 1 0 -32 0M32 22m-7 0a7 7 0 1 0 14 0a7 7 0 1 0 -14 0M32 22m-3 0a3 3 0 1 0 6 0a3 3 0 1 0 -6 0',
  eccentric: 'M32 6l14 8v16l-14 8l-14 -8v-16zM34 19m-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0M32 22h0',
  spacer: 'M32 6l14 8v16l-14 8l-14 -8v-16zM32 22m-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0',
  belt: 'M6 18h52v4h-3v3h-4v-3h-4v3h-4v-3h-4v3h-4v-3h-4v3h-4v-3h-4v3h-4v-3h-4v3h-4v-3h-4v3h-4v-3h-2z',
  turnNut: 'M18 18a6 6 0 0 1 6 -6h22v14a6 6 0 0 1 -6 6h-22zM32 22m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0',
  slideNut: 'M14 14h36v16h-36zM20 14l-3 -4h30l-3 4M32 22m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0',
  foot: 'M29 4h6v16h-6zM16 20h32l4 14h-40zM29 8h6M29 12h6M29 16h6',
  board:
    'M8 8h48v28h-48zM12 12h6v6h-6zM22 12h6v6h-6zM32 12h6v6h-6zM42 12h10v8h-10zM14 30h3v6h-3zM22 30h3v6h-3zM30 30h3v6h-3zM38 26h14v4h-14',
  head: 'M20 4h24v26h-24zM20 9h24M20 14h24M20 19h24M26 30h12v6h-12zM30 36h4v4h-4z',
  supply: 'M8 10h48v24h-48zM14 16h20v12h-20zM17 20h14M17 24h10M42 14h8M42 18h8M42 22h8M42 26h8M42 30h8',
  endSwitch: 'M14 18h30v16h-30zM18 18l28 -8M22 34v5M29 34v5M36 34v5M19 28a1.5 1.5 0 1 0 .1 0M39 28a1.5 1.5 0 1 0 .1 0',
  chain: 'M6 14h12v16h-12zM20 14h12v16h-12zM34 14h12v16h-12zM48 14h10v16h-10zM12 14v16M26 14v16M40 14v16',
}

/** A kind of part as a line drawing. */
export function KindShape({ kind }: { readonly kind: KindId }) {
  return (
    <svg width="64" height="44" viewBox="0 0 64 44" aria-hidden className="shrink-0">
      <path d={SHAPES[kind]} fill="none" stroke="var(--ink)" strokeWidth="1.3" strokeLinejoin="round" />
    </svg>
  )
}
