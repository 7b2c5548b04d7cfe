import { useEffect, useRef, useState } from 'react'

/** The person's own burn beside the drawn ones; it stays on this page and is kept nowhere. */
export function OwnPicture() {
  const [file, setFile] = useState<File | null>(null)
  return (
    <div className="no-print pb-3">
      <label className="button inline-block cursor-pointer focus-within:outline-2">
        Lay a picture of your burn beside them
        <input
          type="file"
          accept="image/png,image/jpeg,image/webp"
          className="sr-only"
          onChange={(event) => {
            setFile(event.target.files?.[0] ?? null)
            event.target.value = ''
          }}
        />
      </label>
      {file !== null && <Shown key={`${file.name} ${file.lastModified} ${file.size}`} file={file} />}
    </div>
  )
}

function Shown({ file }: { readonly file: File }) {
  const image = useRef<HTMLImageElement>(null)
  const [isBroken, setBroken] = useState(false)
  useEffect(() => {
    const url = URL.createObjectURL(file)
    if (image.current !== null) image.current.src = url
    return () => URL.revokeObjectURL(url)
  }, [file])
  return isBroken ? (
    <p role="alert" className="pt-2 text-[13px]">
      “{file.name}” cannot be decoded as a picture. Take it again as PNG, JPEG or WebP.
    </p>
  ) : (
    <img
      ref={image}
      alt={`Your burn, ${file.name}`}
      className="mt-2 block max-h-64 max-w-full border border-rule"
      onError={() => setBroken(true)}
    />
  )
}
