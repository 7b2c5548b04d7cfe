import type { Finding } from '../core/units'

/** What is wrong or doubtful, each with what to do; read out when it appears. */
export function Findings({ findings }: { readonly findings: readonly Finding[] }) {
  if (findings.length === 0) return null
  return (
    <div role="alert">
      <ul className="m-0 list-none p-0">
        {findings.map(({ code, severity, message, path }, i) => (
          <li key={`${code}-${path ?? i}`} className="mt-2 flex gap-2 text-[13px]">
            <span aria-hidden className={`mt-[3px] h-3 w-1 shrink-0 ${severity === 'error' ? 'bg-stop' : 'bg-look'}`} />
            <span>{message}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}
