import { useState } from 'react'
import { carriedSpeed, speedKept, type BookMaterial, type BookSetting, type Want } from '../../core/burn'
import {
  DONE,
  carrySetting,
  engineOf,
  keepSetting,
  noteUse,
  removeSetting,
  saySetting,
  setAir,
  useBenchStore,
  useConsequences,
  type Told,
} from '../../state'
import { Findings, Panel, TakeAway, useUnits } from '../../ui'

const KEEP: Readonly<Record<Want, string>> = {
  cut: 'Keep the speed that cuts 95 of 100',
  tone: 'Keep the setting for the wanted tone',
  depth: 'Keep the setting for the wanted depth',
  mask: 'Keep the speed that cuts the tape alone',
  exposure: 'Keep the exposure',
}
const FROM: Readonly<Record<BookSetting['from'], string>> = {
  tried: 'learnt from tries',
  card: 'learnt from cards',
  carried: 'carried over, assumed',
}

/** What is kept of a material in the book: by what it was learnt, how often it was used and what became of it, whether it is stale. */
export function Kept(props: {
  readonly id: string
  readonly material: BookMaterial
  readonly isBurnt: boolean
  readonly want: Want
}) {
  const { id, material, isBurnt, want } = props
  const [said, say] = useState<Told>(DONE)
  const rows = Object.entries(material.settings).sort(([, p], [, q]) => q.order - p.order)
  if (!isBurnt && rows.length === 0) return null
  return (
    <Panel title="Kept in the book">
      <ul className="m-0 list-none p-0">
        {rows.map(([key, it]) => (
          <Row key={key} id={id} settingId={key} setting={it} say={say} />
        ))}
      </ul>
      {isBurnt && (
        <div className="no-print mt-2 flex flex-wrap gap-2">
          <button type="button" className="button" onClick={() => void keepSetting(id, want).then(say)}>
            {KEEP[want]}
          </button>
          {want === 'cut' && <Carry id={id} say={say} />}
        </div>
      )}
      <Findings findings={said} />
    </Panel>
  )
}

function Row(props: {
  readonly id: string
  readonly settingId: string
  readonly setting: BookSetting
  readonly say: (told: Told) => void
}) {
  const { id, settingId, setting, say } = props
  const units = useUnits()
  const isStale = useConsequences().some((it) => it.record.id === setting.record && it.freshness === 'stale')
  const uses = Object.values(setting.uses)
  const good = uses.filter((it) => it.outcome === 'good').length
  const sentence = saySetting(setting, units)
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-1.5 text-[14px]">
      <span className="num text-second">{setting.at.slice(0, 10)}</span>
      <span>{sentence}</span>
      <span className="num">{Math.round(setting.power * 100)}%</span>
      <span>{setting.passes === 1 ? 'one pass' : `${setting.passes} passes`}</span>
      <button
        type="button"
        className="link min-h-8"
        aria-label={`It ${sentence}: air ${setting.air}; change it`}
        onClick={() => say(setAir(id, settingId, setting.air === 'on' ? 'off' : 'on'))}
      >
        air {setting.air}
      </button>
      <span className="text-second">{FROM[setting.from]}</span>
      {isStale && <strong className="font-[650]">stale: learn it again</strong>}
      <span className="text-second">{uses.length === 0 ? 'not used yet' : `used ${uses.length} ×, ${good} well`}</span>
      <span className="no-print flex gap-2">
        <button
          type="button"
          className="link min-h-8"
          aria-label={`It ${sentence}: used, came out well`}
          onClick={() => say(noteUse(id, settingId, 'good'))}
        >
          came out well
        </button>
        <button
          type="button"
          className="link min-h-8"
          aria-label={`It ${sentence}: used, came out badly`}
          onClick={() => say(noteUse(id, settingId, 'poor'))}
        >
          badly
        </button>
      </span>
      <TakeAway what={`Take the setting of ${setting.at.slice(0, 10)} out`} act={() => removeSetting(id, settingId)} />
    </li>
  )
}

/** Another thickness of its kind, where one is known: a guess to begin with. */
function Carry({ id, say }: { readonly id: string; readonly say: (told: Told) => void }) {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const { result } = engineOf(bench).value(carriedSpeed, id)
  if (!result.known) return null
  const speed = speedKept(result.value.value)
  return (
    <button type="button" className="button" onClick={() => say(carrySetting(id, speed))}>
      Carry a speed over from its other thickness, ± 60 %
    </button>
  )
}
