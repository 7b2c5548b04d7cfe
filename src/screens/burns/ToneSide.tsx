import { whyNotBurnt } from '../../core/safety'
import { darkestTone, greysTold, toneExpected, tonePower, toneSpeed, toneTable } from '../../core/testcard'
import { displayUnit, sayQuantity } from '../../core/units'
import { engineOf, useBenchStore } from '../../state'
import { FigureRow, Panel, Side, useUnits } from '../../ui'
import { useMaterial } from './chosen'

/** What the cards of a material say of its tone, and what is judged of it. */
export function ToneSide() {
  const id = useMaterial()
  const kind = useBenchStore(({ bench }) => (id === null ? '' : (bench?.burns.materials[id]?.kind ?? '')))
  const against = id === null ? null : whyNotBurnt(kind)
  return (
    <Side stage="burns" part="tone">
      <Panel title="Worked, the tone">
        {id === null || against !== null ? (
          <p className="py-2 text-[13.5px] text-second">
            {against === null ? 'What the cards of a material say stands here.' : `Nothing: ${against}.`}
          </p>
        ) : (
          <>
            {[tonePower, toneSpeed, toneExpected, darkestTone, greysTold].map((def) => (
              <FigureRow key={def.id} def={def} args={[id]} />
            ))}
            <Table id={id} />
          </>
        )}
      </Panel>
    </Side>
  )
}

/** Powers for greys at the speed of the wanted tone: the tone curve the other way round. */
function Table({ id }: { readonly id: string }) {
  const bench = useBenchStore((it) => it.bench)
  const system = useUnits()
  if (bench === null) return null
  const { result } = engineOf(bench).value(toneTable, id)
  const first = result.known ? result.value[0] : undefined
  if (!result.known || first === undefined) return null
  return (
    <table className="mt-2 w-full border-collapse text-[13px]">
      <caption className="pb-1 text-left text-[12.5px] text-second">
        Greys at {sayQuantity(first.speed, null, displayUnit('speed', system))}, for pictures
      </caption>
      <thead>
        <tr className="border-b border-rule text-left text-[12px] text-second">
          <th className="py-1 font-normal">Tone, L*</th>
          <th className="py-1 font-normal">±</th>
          <th className="py-1 font-normal">Power, %</th>
          <th className="py-1 font-normal">or dots, %</th>
        </tr>
      </thead>
      <tbody className="num">
        {result.value.map((it) => (
          <tr key={it.tone} className="border-b border-rule">
            <td className="py-0.5">
              <span
                aria-hidden
                className="mr-2 inline-block h-3 w-5 border border-rule align-[-1px]"
                style={{ background: `lab(${Math.round(it.tone)}% 3 16)` }}
              />
              {it.tone.toFixed(0)}
            </td>
            <td className="py-0.5">{(2 * it.u).toFixed(1)}</td>
            <td className="py-0.5">{(it.power * 100).toFixed(1)}</td>
            <td className="py-0.5">{(it.dots * 100).toFixed(0)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
