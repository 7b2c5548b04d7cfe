import { use, useEffect } from 'react'
import { Navigate, useLocation } from 'react-router'
import { addressOf, loadDomains, rememberPart, useBenchStore } from '../state'
import { Parts, Sheet } from '../ui'
import type { PartDef, PartSheet, PartWords, StageDef } from '../ui/stage'

/** What a stage shows, and what its parts say of themselves. */
interface Fetched {
  readonly sheets: Readonly<Record<string, PartSheet>>
  readonly words: Readonly<Record<string, PartWords>>
}

/** What each stage shows, asked for once: when it is first drawn, or at idle. */
const asked = new Map<string, Promise<Fetched>>()

/** Fetches what a stage shows. */
export function sheetsOf(stage: StageDef): Promise<Fetched> {
  const known = asked.get(stage.id)
  if (known !== undefined) return known
  const sheets = Promise.all([stage.load(), stage.words(), loadDomains(stage.domains)]).then(([made, words]) => ({
    sheets: made,
    words,
  }))
  asked.set(stage.id, sheets)
  return sheets
}

/** A stage with one of its parts open; the part stands in the address. */
export function StagePage(props: { readonly benchId: string; readonly stage: StageDef; readonly part: string | undefined }) {
  const { benchId, stage, part } = props
  const found = stage.parts.find((it) => it.id === part)
  const first = stage.parts[0]
  const { key } = useLocation()
  useEffect(() => {
    if (found !== undefined) rememberPart(stage.id, found.id)
  }, [stage, found])
  if (first === undefined) return null
  // Asked for again while its sheet is still on its way, it leads on again: each visit has a key of its own.
  if (part === undefined) return <Navigate key={key} to={addressOf(benchId, stage.id, first.id) + location.hash} replace />
  if (found === undefined) return <NoPart stage={stage} name={part} benchId={benchId} />
  return <PartPage stage={stage} part={found} />
}

/** What works what a part shows, asked for once. */
const domainsAsked = new WeakMap<PartDef, Promise<void>>()

function domainsOf(part: PartDef): Promise<void> {
  const known = domainsAsked.get(part)
  if (known !== undefined) return known
  const coming = loadDomains(part.domains ?? [])
  domainsAsked.set(part, coming)
  return coming
}

function PartPage({ stage, part }: { readonly stage: StageDef; readonly part: PartDef }) {
  const coming = [sheetsOf(stage), domainsOf(part)] as const
  const { sheets, words } = use(coming[0])
  const [sheet, said] = [sheets[part.id], words[part.id]]
  use(coming[1])
  const about = useBenchStore(({ bench }) => (bench === null ? null : (said?.aboutFor?.(bench) ?? null)))
  if (sheet === undefined || said === undefined) return null
  const parts = stage.parts.length > 1 && <Parts of={stage} open={part.id} />
  if ('sheet' in sheet) return <sheet.sheet parts={parts} />
  return (
    <Sheet
      question={said.question ?? stage.question}
      about={about ?? said.about}
      plate={
        <>
          {parts}
          <sheet.plate />
        </>
      }
      given={<sheet.given />}
      side={<sheet.side />}
    />
  )
}

function NoPart({ stage, name, benchId }: { readonly stage: StageDef; readonly name: string; readonly benchId: string }) {
  return (
    <div className="p-8">
      <h1 className="text-[22px] font-[680]">
        {stage.name} has no part called “{name}”
      </h1>
      <p className="mt-2">It has these:</p>
      <ul className="mt-1 list-none p-0">
        {stage.parts.map((it) => (
          <li key={it.id}>
            <a className="link" href={addressOf(benchId, stage.id, it.id)}>
              {it.name}
            </a>
          </li>
        ))}
      </ul>
    </div>
  )
}
