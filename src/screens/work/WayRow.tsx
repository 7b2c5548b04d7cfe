import type { Bench } from '../../core/document'
import { displayUnit, fromCore, printNumber, unitOf } from '../../core/units'
import { burningOf, SUITS, type Piece, type Way } from '../../core/work'
import { letWay, putEarlier, saySetting, setWay, type Told } from '../../state'
import { NumberField, SelectOf, useUnits } from '../../ui'
import { Earlier, Held, MmField, SpeedField } from './Held'

const DOES: Readonly<Record<Way['does'], string>> = {
  cut: 'is cut through',
  part: 'is cut part-way',
  mark: 'is marked along its lines',
  fill: 'is filled',
  leave: 'is left out',
}
const DOES_PICTURE = { fill: 'is engraved', leave: 'is left out' } as const
const SIDES: Readonly<Record<Way['side'], string>> = {
  part: 'parts keep their size',
  line: 'on the line itself',
  outside: 'outside of the line',
  inside: 'inside of the line',
}
const TONINGS: Readonly<Record<Way['toning'], string>> = {
  grey: 'greys by power',
  four: 'dots, error to four neighbours',
  twelve: 'dots, error to twelve neighbours',
  twelveSharp: 'dots, error to twelve, sharper',
  ordered: 'dots in an even grid',
}

interface WayProps {
  readonly pieceId: string
  readonly wayId: string
  readonly way: Way
  readonly piece: Piece
  readonly bench: Bench
}

/** What is done with a part of a piece, as a sentence with its numbers in it. */
export function WayRow({ pieceId, wayId, way, piece, bench }: WayProps) {
  const keep = (part: Partial<Way>): Told => setWay(pieceId, wayId, part)
  const isPicture = piece.kind === 'picture'
  const of = isPicture ? piece.name : `${way.drawn} of ${piece.name}`
  const name = isPicture ? 'The picture' : capital(way.drawn)
  const count = isPicture ? '' : ` (${way.outlines} ${way.outlines === 1 ? 'outline' : 'outlines'})`
  const label = `What is done with ${of}`
  return (
    <li className="in-words py-0.5 pl-3 text-[14px] leading-[2]" aria-label={`${piece.name}, ${way.drawn}`}>
      <strong className="font-[600]">{name}</strong>
      <span className="text-second">{count}</span>{' '}
      {isPicture ? (
        <SelectOf
          label={label}
          of={DOES_PICTURE}
          value={way.does === 'leave' ? 'leave' : 'fill'}
          choose={(does) => letWay(pieceId, wayId, does)}
        />
      ) : (
        <SelectOf label={label} of={DOES} value={way.does} choose={(does) => letWay(pieceId, wayId, does)} />
      )}
      {way.does !== 'leave' && <Numbers way={way} bench={bench} keep={keep} of={of} />}
      {isPicture && way.does === 'fill' && (
        <>
          {', '}
          <SelectOf
            label={`How greys of ${piece.name} are burnt`}
            of={TONINGS}
            value={way.toning}
            choose={(toning) => keep({ toning })}
          />
        </>
      )}
      {way.does === 'cut' && way.closed > 0 && <CutNumbers way={way} keep={keep} of={of} />}
      {'. '}
      {bench.work.sequence === 'listed' && way.does !== 'leave' && <Earlier what={of} act={() => putEarlier(pieceId, wayId)} />}
    </li>
  )
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** With a setting of the book, or with numbers of its own. */
function Numbers(props: {
  readonly way: Way
  readonly bench: Bench
  readonly keep: (part: Partial<Way>) => Told
  readonly of: string
}) {
  const { way, bench, keep, of } = props
  const units = useUnits()
  const speedUnit = displayUnit('speed', units)
  const { symbol } = unitOf(speedUnit)
  const settings = Object.entries(bench.burns.materials[bench.work.material]?.settings ?? {}).filter(([, it]) =>
    (SUITS[way.does] as readonly string[]).includes(it.wanted),
  )
  const shown = burningOf(bench.work, bench.burns.materials, way)
  const isKept = settings.some(([id]) => id === way.setting)
  const options = Object.fromEntries([['', 'own numbers'], ...settings.map(([id, it]) => [id, saySetting(it, units)])]) as Record<
    string,
    string
  >
  const isScanned = way.does === 'fill'
  return (
    <>
      {settings.length > 0 && (
        <>
          {' with '}
          <SelectOf
            label={`Setting for ${of}`}
            of={options}
            value={isKept ? way.setting : ''}
            choose={(setting) => keep({ setting })}
            className="min-h-8 max-w-56 py-0.5"
          />
        </>
      )}
      {isKept ? (
        <span>
          {' at '}
          <span className="num">
            {printNumber(shown.power * 100, 1)}% and {printNumber(fromCore(shown.speed, speedUnit), 2)} {symbol}
          </span>
          {shown.passes === 1 ? ' in one pass' : ` in ${shown.passes} passes`}
        </span>
      ) : (
        <>
          {' at '}
          <Held unit="%">
            <NumberField
              label={`Power for ${of}, %`}
              hideLabel
              above
              value={Math.round(way.power * 1000) / 10}
              className="w-14"
              keep={(it) => keep({ power: (it ?? 0) / 100 })}
            />
          </Held>
          {' and '}
          <SpeedField label={`Speed for ${of}`} value={way.speed} keep={(speed) => keep({ speed })} />
          {' in '}
          <Held unit={way.passes === 1 ? 'pass' : 'passes'}>
            <NumberField
              label={`Passes for ${of}`}
              hideLabel
              whole
              above
              value={way.passes}
              className="w-11"
              keep={(it) => keep({ passes: it ?? 1 })}
            />
          </Held>
          {isScanned && (
            <>
              {', lines '}
              <MmField label={`Scan pitch for ${of}`} above valueMm={way.pitch} keep={(it) => keep({ pitch: it ?? way.pitch })} />
              {' apart'}
            </>
          )}
        </>
      )}
      {isScanned && (
        <>
          {', at '}
          <Held unit="°">
            <NumberField
              label={`Angle of the lines for ${of}, °`}
              hideLabel
              value={way.angle < 0 ? null : way.angle}
              empty="quickest"
              className="w-20"
              keep={(it) => keep({ angle: it ?? -1 })}
            />
          </Held>
        </>
      )}
    </>
  )
}

function CutNumbers(props: { readonly way: Way; readonly keep: (part: Partial<Way>) => Told; readonly of: string }) {
  const { way, keep, of } = props
  return (
    <>
      {'; '}
      <SelectOf label={`Kerf of ${of}`} of={SIDES} value={way.side} choose={(side) => keep({ side })} />
      {', with '}
      <Held unit={way.tabs === 1 ? 'tab' : 'tabs'}>
        <NumberField
          label={`Tabs of ${of}`}
          hideLabel
          whole
          value={way.tabs}
          className="w-11"
          keep={(it) => keep({ tabs: it ?? 0 })}
        />
      </Held>
      {way.tabs > 0 && (
        <>
          {' of '}
          <MmField label={`Tab width of ${of}`} above valueMm={way.tabWidth} keep={(it) => keep({ tabWidth: it ?? 1 })} />
        </>
      )}
      {' and a lead-in of '}
      <MmField label={`Lead-in of ${of}`} valueMm={way.lead} keep={(it) => keep({ lead: it ?? 0 })} />
      {way.passes > 1 && (
        <>
          {', each pass lower by '}
          <MmField label={`Lower each pass of ${of}`} valueMm={way.drop} keep={(it) => keep({ drop: it ?? 0 })} />
        </>
      )}
    </>
  )
}
