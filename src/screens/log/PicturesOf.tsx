import { useEffect, useRef, useState } from 'react'
import { useBenchStore, type FileRow } from '../../state'

/** The pictures of an entry, small; one that cannot be decoded is said by its name. */
export function PicturesOf({ id }: { readonly id: string }) {
  const files = useBenchStore((it) => it.files)
  const own = files.filter((it) => it.recordId === id && it.type.startsWith('image/'))
  if (own.length === 0) return null
  return (
    <div className="flex flex-wrap gap-2 pt-1">
      {own.map((file) => (
        <Small key={file.id} file={file} />
      ))}
    </div>
  )
}

function Small({ file }: { readonly file: FileRow }) {
  const image = useRef<HTMLImageElement>(null)
  const [isBroken, setBroken] = useState(false)
  useEffect(() => {
    const url = URL.createObjectURL(new Blob([file.bytes as Uint8Array<ArrayBuffer>], { type: file.type }))
    if (image.current !== null) image.current.src = url
    return () => URL.revokeObjectURL(url)
  }, [file])
  if (isBroken)
    return <span className="text-[13px] text-second">“{file.name}” is no picture that can be shown; it is kept as it is.</span>
  return (
    <img
      ref={image}
      alt={file.name}
      loading="lazy"
      decoding="async"
      className="h-20 w-auto border border-rule"
      onError={() => setBroken(true)}
    />
  )
}
