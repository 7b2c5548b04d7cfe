import { useEffect, useState } from 'react'

type Render = (tex: string) => string

let loaded: Render | null = null

/** KaTeX, fetched when the first formula is opened. */
async function loadRenderer(): Promise<Render> {
  if (loaded !== null) return loaded
  const [katex] = await Promise.all([import('katex'), import('katex/dist/katex.min.css')])
  loaded = (tex) => katex.default.renderToString(`\\displaystyle ${tex}`, { throwOnError: false, output: 'htmlAndMathml' })
  return loaded
}

/** A formula in TeX, broken behind its operators where the sheet is narrow. Until its face has come its text stands there. */
export function Formula({ tex }: { readonly tex: string }) {
  const [render, setRender] = useState<Render | null>(() => loaded)
  useEffect(() => {
    let here = true
    if (render === null) void loadRenderer().then((it) => here && setRender(() => it))
    return () => {
      here = false
    }
  }, [render])
  if (render === null) return <code className="text-[13px]">{tex}</code>
  return (
    <div
      tabIndex={0}
      role="group"
      aria-label="Formula"
      className="overflow-x-auto overflow-y-hidden py-1.5 text-[13px] leading-[2.9]"
      dangerouslySetInnerHTML={{ __html: render(tex) }}
    />
  )
}
