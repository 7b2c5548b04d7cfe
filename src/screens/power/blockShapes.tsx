import type { BlockId } from '../../core/electrical'

/** How a kind of block looks on the bench, in a window of 56 by 64; drawn by hand, to no scale. */
const SHAPES: Readonly<Record<BlockId, string>> = {
  motorSupply: 'M8 14h40v40h-40zM14 22h28M14 28h28M14 34h28M16 46h4M24 46h4M32 46h4M40 46h4',
  supply: 'M8 22h40v26h-40zM14 30h20M14 38h20M48 35h6M8 35h-6',
  converter:
    'M8 16h40v36h-40zM28 34m-9 0a9 9 0 1 0 18 0a9 9 0 1 0 -18 0M28 34m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0M12 20h4v4h-4zM40 44h4v4h-4z',
  motors: 'M12 18h30v30h-30zM27 33m-9 0a9 9 0 1 0 18 0a9 9 0 1 0 -18 0M42 31h10v4h-10',
  head: 'M16 12h24v28h-24zM16 18h24M16 24h24M16 30h24M22 40h12v8h-12zM26 48h4v6h-4z',
  controller: 'M6 18h44v34h-44zM11 23h7v7h-7zM21 23h7v7h-7zM31 23h7v7h-7zM12 44h4v8M20 44h4v8M32 40h12v6h-12',
  fan: 'M10 14h38v38h-38zM29 33m-15 0a15 15 0 1 0 30 0a15 15 0 1 0 -30 0M29 33m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0M29 29c2 -6 8 -8 10 -4M33 34c6 2 6 8 3 10M27 37c-2 6 -8 6 -10 3M25 31c-5 -3 -5 -9 -1 -11',
  pump: 'M8 26h30v22h-30zM38 32h10v8h-10M12 26v-6h22v6M14 48v4h6v-4M26 48v4h6v-4',
  cooler: 'M10 18h38v6h-38zM10 44h38v6h-38zM14 24v20M20 24v20M26 24v20M32 24v20M38 24v20M44 24v20',
  inlet: 'M12 22h32v24h-32zM20 30v8M28 28v4M36 30v8',
  strip:
    'M4 26h48v16h-48zM12 34m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0M28 34m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0M44 34m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0',
  lamp: 'M28 30m-14 0a14 14 0 1 0 28 0a14 14 0 1 0 -28 0M18 20l20 20M38 20l-20 20M22 44h12v8h-12z',
  stop: 'M12 36h32v16h-32zM28 36v-6M28 22m-12 0a12 8 0 1 0 24 0a12 8 0 1 0 -24 0',
  key: 'M28 32m-16 0a16 16 0 1 0 32 0a16 16 0 1 0 -32 0M28 26a4 4 0 1 0 .1 0M28 30v12h4M28 38h3',
  interlock: 'M8 22h40v8h-40zM8 44h40v8h-40zM28 30v14M24 34h8M24 40h8',
  arm: 'M10 30h36v22h-36zM28 30l8 -14M22 44h12',
  contactor: 'M8 18h40v34h-40zM16 18v34M40 18v34M22 30h12v12h-12z',
  switch: 'M10 16h36v30h-36zM16 46v8M28 46v8M40 46v8M20 24h16v10h-16z',
}

/** A kind of block as a line drawing. @param at Where in its frame, and how large. */
export function BlockShape({ kind, at }: { readonly kind: BlockId; readonly at: string }) {
  return (
    <path
      d={SHAPES[kind]}
      transform={at}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.2"
      strokeLinejoin="round"
      pointerEvents="none"
      aria-hidden
    />
  )
}
