import { useState } from 'react'
import { axisOfRotary, rotarySettings, type Bench } from '../../core/document'
import { DONE, engineOf, putBack, putBackByHand, swapByHand, swapIn, useMachine, whyNotSwapped, type Told } from '../../state'
import { ChoiceField, Findings, Panel, StageLink } from '../../ui'

/** The rotary in the place of an axis: what goes into the machine, and what comes back after it. */
export function SwapGiven({ bench }: { readonly bench: Bench }) {
  const [said, say] = useState<Told>(DONE)
  const [isBusy, setBusy] = useState(false)
  const isLinked = useMachine((it) => it.link === 'open')
  const isRunning = useMachine((it) => it.running)
  const { swap } = bench.rotary
  const isIn = swap.axis !== ''
  const axisId = isIn ? swap.axis : axisOfRotary(bench)
  const letter = axisId === null ? '' : (bench.motion.axes[axisId]?.letter ?? '')
  const why = isIn ? null : whyNotSwapped(bench)
  const act = (run: () => Promise<Told>): void => {
    setBusy(true)
    void run()
      .then(say)
      .finally(() => setBusy(false))
  }
  return (
    <Panel title="The rotary in the place of an axis">
      <p className="max-w-[46rem] py-1.5 text-[14px]">
        It is driven <ChoiceField path="rotary.turn.standsFor" place="run" />.{' '}
        {isIn
          ? `Since ${swap.at.slice(0, 16).replace('T', ' ')} (UTC) the machine has the rotary’s settings for ${letter}. Before anything flat is burnt, ${letter} gets its own back.`
          : why === null
            ? `For ${letter} the machine gets the rotary’s settings: a millimetre of ${letter} becomes one of surface. What is there now is kept, and put back afterwards.`
            : why}
      </p>
      {why === null && axisId !== null && <Lines bench={bench} isIn={isIn} letter={letter} />}
      <div className="no-print flex flex-wrap items-center gap-2 py-1">
        {isLinked ? (
          <button
            type="button"
            className="button"
            disabled={isBusy || isRunning || why !== null}
            onClick={() => act(isIn ? putBack : swapIn)}
          >
            {isIn ? `Put ${letter} back, and read it again` : `Write them for ${letter}, and read them back`}
          </button>
        ) : (
          <button
            type="button"
            className="button"
            disabled={isBusy || why !== null}
            onClick={() => act(isIn ? putBackByHand : swapByHand)}
          >
            {isIn ? `I have typed ${letter}’s own back` : 'I have typed these into the machine'}
          </button>
        )}
        {isIn && isLinked && (
          <button type="button" className="button" disabled={isBusy || isRunning} onClick={() => act(swapIn)}>
            Write them again, for the object in hand
          </button>
        )}
        {!isLinked && (
          <span className="text-[13px] text-second">
            Without a link: type the lines yourself, or{' '}
            <StageLink stage="controller" part="settings">
              connect the machine
            </StageLink>
            .
          </span>
        )}
      </div>
      <Findings findings={said} />
    </Panel>
  )
}

/** Every setting: what is there, what goes in, and the line to type. */
function Lines({ bench, isIn, letter }: { readonly bench: Bench; readonly isIn: boolean; readonly letter: string }) {
  const all = rotarySettings(engineOf(bench))
  return (
    <div className="overflow-x-auto">
      <table className="my-1 w-full max-w-[46rem] text-left text-[13.5px]">
        <thead>
          <tr className="border-b border-ink text-[12px] text-second">
            <th className="py-1 pr-3 font-normal">Setting</th>
            <th className="py-1 pr-3 font-normal">{letter}’s own</th>
            <th className="py-1 pr-3 font-normal">Rotary’s</th>
            <th className="py-1 font-normal">Line to type now</th>
          </tr>
        </thead>
        <tbody>
          {all.map((it) => (
            <tr key={it.key} className="border-b border-rule">
              <th scope="row" className="py-1 pr-3 font-normal">
                {it.setting.label}
              </th>
              <td className="num py-1 pr-3">{it.before ?? 'not read'}</td>
              <td className="num py-1 pr-3">{(isIn ? bench.rotary.swap.during[it.setting.id] : it.wanted) ?? '–'}</td>
              <td className="num py-1">{(isIn ? it.lineBefore : it.line) ?? '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
