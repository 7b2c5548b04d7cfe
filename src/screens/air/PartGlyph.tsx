import type { Drawn } from './runLayout'

/** A part of a duct from its side, in section where it is cut; the air goes from left to right. */
export function PartGlyph({ part, middle }: { readonly part: Drawn; readonly middle: number }) {
  const { x, width, enters, leaves } = part
  const [top, bottom] = [middle - enters, middle + enters]
  const right = x + width
  const wall = <path d={`M${x} ${top}L${right} ${middle - leaves}M${x} ${bottom}L${right} ${middle + leaves}`} />
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth="1.4">
      {inner(part, middle, wall)}
    </g>
  )
}

function inner(part: Drawn, y: number, wall: React.ReactNode): React.ReactNode {
  const { kind, facts, x, width, enters: r } = part
  const right = x + width
  const centre = x + width / 2
  switch (kind) {
    case 'duct':
      return facts.wall.chosen === 'hose' || facts.wall.chosen === 'foil' ? <Ribs part={part} y={y} /> : wall
    case 'bend': {
      const turn = facts.angle.value ?? Math.PI / 2
      // Its turn, as an arm that stands up from the middle line by that angle.
      const arm = 1.35 * r
      return (
        <>
          {wall}
          <path
            d={`M${x + 6} ${y}H${centre}L${centre + arm * Math.cos(turn)} ${y - arm * Math.sin(turn)}`}
            stroke="var(--teal)"
          />
          <path d={`M${centre} ${y - r - 15}a5 5 0 1 1 -3.5 1.5`} stroke="var(--teal)" strokeWidth="1.1" />
        </>
      )
    }
    case 'reducer':
      return wall
    case 'end':
      return facts.end.chosen === 'out' ? (
        wall
      ) : (
        <>
          <path d={`M${x + 12} ${y - r}H${right}M${x + 12} ${y + r}H${right}`} />
          {facts.end.chosen === 'flanged' && <path d={`M${x + 12} ${y - r}v-12M${x + 12} ${y + r}v12`} strokeWidth="2" />}
          {facts.end.chosen === 'bell' && <path d={`M${x + 12} ${y - r}q-9 -1 -10 -10M${x + 12} ${y + r}q-9 1 -10 10`} />}
        </>
      )
    case 'grille':
      return (
        <>
          {wall}
          <path d={`M${centre} ${y - r}V${y + r}`} strokeWidth="3" strokeDasharray="4 3.4" />
        </>
      )
    case 'gate': {
      const open = Math.min(1, Math.max(0, facts.free.value ?? 1))
      return (
        <>
          {wall}
          <path d={`M${centre} ${y - r - 9}V${y + r - 2 * r * open}`} strokeWidth="3" />
        </>
      )
    }
    case 'flap':
      return (
        <>
          {wall}
          <path d={`M${centre - 5} ${y - r}L${centre + 8} ${y + r * 0.7}`} strokeWidth="2" />
          <circle cx={centre - 5} cy={y - r} r="2.4" fill="var(--paper)" />
        </>
      )
    case 'filter':
      return (
        <>
          <rect x={x + 6} y={y - r - 5} width={width - 12} height={2 * r + 10} fill="url(#air-cut)" />
          <path d={`M${x} ${y - r}h6M${x} ${y + r}h6M${right - 6} ${y - r}h6M${right - 6} ${y + r}h6`} />
        </>
      )
    case 'fan':
      return <Fan centre={centre} y={y} part={part} />
    case 'opening':
      return <path d={`M${x} ${y - r - 8}V${y - 5}M${x} ${y + 5}V${y + r + 8}`} strokeWidth="2.4" />
  }
}

/** A hose: its ribs. */
function Ribs({ part, y }: { readonly part: Drawn; readonly y: number }) {
  const { x, width, enters: r } = part
  const count = Math.max(4, Math.round(width / 7))
  const step = width / count
  const edge = (way: 1 | -1): string =>
    Array.from(
      { length: count },
      (_, k) => `Q${x + (k + 0.5) * step} ${y + way * (r + 4.5)} ${x + (k + 1) * step} ${y + way * r}`,
    ).join('')
  return (
    <>
      <path d={`M${x} ${y - r}${edge(-1)}M${x} ${y + r}${edge(1)}`} />
      <path
        d={Array.from({ length: count - 1 }, (_, k) => `M${x + (k + 1) * step} ${y - r}V${y + r}`).join('')}
        stroke="var(--rule)"
        strokeWidth="0.8"
      />
    </>
  )
}

/** A fan: its wheel, as many as stand side by side. */
function Fan({ centre, y, part }: { readonly centre: number; readonly y: number; readonly part: Drawn }) {
  const { x, width, enters: r, facts } = part
  const wheel = 22
  const blades = [0, 1, 2, 3, 4].map((k) => {
    const angle = (2 * Math.PI * k) / 5
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    return `M${centre} ${y}Q${centre + 10 * c - 8 * s} ${y + 10 * s + 8 * c} ${centre + 17 * c} ${y + 17 * s}`
  })
  const beside = facts.beside.value ?? 1
  return (
    <>
      <path
        d={`M${x} ${y - r}H${centre - Math.sqrt(Math.max(0, wheel * wheel - r * r))}M${x} ${y + r}H${centre - Math.sqrt(Math.max(0, wheel * wheel - r * r))}`}
      />
      <path
        d={`M${x + width} ${y - r}H${centre + Math.sqrt(Math.max(0, wheel * wheel - r * r))}M${x + width} ${y + r}H${centre + Math.sqrt(Math.max(0, wheel * wheel - r * r))}`}
      />
      <circle cx={centre} cy={y} r={wheel} fill="var(--paper)" />
      <path d={blades.join('')} strokeWidth="1.2" />
      <circle cx={centre} cy={y} r="3" fill="var(--ink)" stroke="none" />
      {beside > 1 && (
        <text x={centre} y={y - wheel - 6} fontSize="11.5" textAnchor="middle" fill="var(--ink)" stroke="none">
          × {beside}
        </text>
      )}
    </>
  )
}
