/** A shape that a cutter goes along, mm; depths are below the surface. */
export type CutShape =
  | {
      readonly kind: 'outline'
      readonly points: readonly (readonly [number, number])[]
      readonly depths: readonly number[]
      readonly ramps: boolean
    }
  | {
      readonly kind: 'circle'
      readonly x: number
      readonly y: number
      readonly radius: number
      readonly depths: readonly number[]
    }
  | { readonly kind: 'holes'; readonly places: readonly (readonly [number, number])[]; readonly depth: number }
  | {
      readonly kind: 'trough'
      readonly from: readonly [number, number]
      readonly to: readonly [number, number]
      readonly depth: number
    }

export interface CutterWish {
  readonly title: string
  /** Height at which the cutter goes from shape to shape, mm above the surface. */
  readonly clear: number
  /** mm/min along, and down. */
  readonly feed: number
  readonly plunge: number
  readonly turns: number
}

/** A program for a router, in the standard’s words: down into each shape, along it, and up again. */
export function cutterProgram({ title, clear, feed, plunge, turns }: CutterWish, shapes: readonly CutShape[]): string {
  const lines = [`(${title})`, 'G21 G90 G17', `M3 S${turns}`, 'M8', `G0 Z${clear}`]
  for (const shape of shapes) lines.push(...linesOf(shape, clear, feed, plunge))
  lines.push('M9', 'M5', 'G0 X0 Y0', 'M30', '')
  return lines.join('\n')
}

function linesOf(shape: CutShape, clear: number, feed: number, plunge: number): readonly string[] {
  switch (shape.kind) {
    case 'outline': {
      const [first, ...rest] = shape.points
      const [x, y] = first ?? [0, 0]
      const way = [...rest, [x, y] as const]
      const rounds = shape.depths.flatMap((depth, k) => {
        const [nextX, nextY] = rest[0] ?? [x, y]
        // A ramp goes down along the first side, and comes back to cut it level.
        const into = shape.ramps
          ? [`G1 X${nextX} Y${nextY} Z-${depth} F${plunge}`, `X${x} Y${y} F${feed}`]
          : [`G1 Z-${depth} F${plunge}`]
        return [
          ...(k === 0 ? ['G1 Z0.5 F600'] : []),
          ...into,
          ...way.map(([px, py], i) => `X${px} Y${py}${i === 0 ? ` F${feed}` : ''}`),
        ]
      })
      return [`G0 X${x} Y${y}`, ...rounds, `G0 Z${clear}`]
    }
    case 'circle': {
      const { x, y, radius } = shape
      const rounds = shape.depths.flatMap((depth) => [
        `G1 Z-${depth} F${plunge}`,
        `G2 X${x + radius} Y${y} I-${radius} J0 F${feed}`,
      ])
      return [`G0 X${x + radius} Y${y}`, ...rounds, `G0 Z${clear}`]
    }
    case 'holes':
      return [
        ...shape.places.map(([x, y], k) => (k === 0 ? `G99 G81 X${x} Y${y} Z-${shape.depth} R1 F${plunge}` : `X${x} Y${y}`)),
        'G80',
        `G0 Z${clear}`,
      ]
    case 'trough': {
      const { from, to, depth } = shape
      const [mx, my] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
      return [
        `G0 X${from[0]} Y${from[1]}`,
        `G1 Z0 F${plunge}`,
        `X${mx} Y${my} Z-${depth} F${feed}`,
        `X${to[0]} Y${to[1]} Z0`,
        `G0 Z${clear}`,
      ]
    }
  }
}

/** A rack for dibbers, as the shed’s router was to cut it: its outline in two passes, four holes, two rings, three leaf veins. */
export function dibberRack(): string {
  const outline = [
    [20, 20],
    [140, 20],
    [150, 30],
    [150, 60],
    [140, 70],
    [20, 70],
    [10, 60],
    [10, 30],
  ] as const
  return cutterProgram({ title: 'dibber rack for the shed door', clear: 5, feed: 900, plunge: 240, turns: 12000 }, [
    {
      kind: 'holes',
      places: [
        [20, 30],
        [140, 30],
        [140, 60],
        [20, 60],
      ],
      depth: 4,
    },
    { kind: 'circle', x: 50, y: 45, radius: 11, depths: [1, 2] },
    { kind: 'circle', x: 110, y: 45, radius: 11, depths: [1, 2] },
    { kind: 'trough', from: [70, 30], to: [90, 60], depth: 1.5 },
    { kind: 'trough', from: [80, 30], to: [80, 60], depth: 1.5 },
    { kind: 'trough', from: [90, 30], to: [70, 60], depth: 1.5 },
    { kind: 'outline', points: outline, depths: [1.5, 3], ramps: true },
  ])
}
