import { useEffect, useState } from 'react'

type Render = (tex: string) => string

let loaded: Render | null = null

/** KaTeX, fetched when the first formula is opened. */
async function loadRenderer(): Promise<Render> {
  if (loaded !== null) return loaded
  const [katex] = await Promise.all([import('katex'), import('katex/dist/katex.min.css')])
  loaded = (tex) => katex.default.renderToString(tex, { displayMode: true, throwOnError: false, output: 'htmlAndMathml' })
  return loaded
}

/** A formula in TeX. Until its face has come the plain text stands there. */
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
      className="overflow-x-auto overflow-y-hidden py-0.5 text-[13px] [&_.katex-display]:my-1.5 [&_.katex-display]:text-left"
      dangerouslySetInnerHTML={{ __html: render(tex) }}
    />
  )
}
