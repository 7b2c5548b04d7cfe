import { useState } from 'react'
import { settingsToPutBack, useBenchStore } from '../../state'
import { Panel } from '../../ui'

/** What was written into the machine since the change-over was planned or begun: each setting as it was before, with its line to type. */
export function PutBack() {
  const kinematics = useBenchStore((it) => it.bench?.motion.kinematics.chosen)
  // Drawn again when something is written or ticked.
  useBenchStore((it) => it.records)
  const [copied, setCopied] = useState(false)
  if (kinematics !== 'retrofit') return null
  const settings = settingsToPutBack()
  const lines = settings.flatMap((it) => it.line ?? [])
  const copy = (): void => void navigator.clipboard.writeText(lines.join('\n')).then(() => setCopied(true))
  return (
    <Panel
      title="To put back on the way back"
      aside={
        lines.length > 0 && (
          <button type="button" className="link no-print text-[13px]" onClick={copy}>
            {copied ? 'Copied' : 'Copy the lines'}
          </button>
        )
      }
    >
      <SettingsBack />
    </Panel>
  )
}

/** The settings themselves, each as it was before. */
export function SettingsBack() {
  useBenchStore((it) => it.records)
  const settings = settingsToPutBack()
  return (
    <>
      {settings.length === 0 ? (
        <p className="py-2 text-second">
          Nothing yet: no setting was written into the machine since the change-over was planned, or each has its old value again.
        </p>
      ) : (
        <ul className="m-0 list-none p-0">
          {settings.map(({ setting, before, now, line }) => (
            <li key={setting.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1.5">
              <span className="min-w-40 flex-1">{setting.label}</span>
              <span className="num text-[13.5px]">
                {now} → {before ?? 'not known'}
              </span>
              <span className={`w-full text-[13px] text-second sm:w-56 ${line === null ? '' : 'num'}`}>
                {line ?? 'It was written without having been read: look at its data sheet.'}
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
