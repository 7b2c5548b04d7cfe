/** A sound that was recorded, or why there is none. */
export type Recorded =
  | { readonly ok: true; readonly samples: Float32Array; readonly sampleRateHz: number }
  | { readonly ok: false; readonly why: string }

/** How long is listened, ms. */
const LISTENS = 2500

/** Listens at the microphone for a moment. Refused, missing or silent microphones are said in words. */
export async function recordMicrophone(): Promise<Recorded> {
  if (!('mediaDevices' in navigator)) {
    return {
      ok: false,
      why: 'This page may not listen: a microphone needs the address 127.0.0.1 or a secure one. Type the tone by hand.',
    }
  }
  let stream: MediaStream
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    })
  } catch (error) {
    const name = error instanceof Error ? error.name : ''
    const why =
      name === 'NotAllowedError'
        ? 'The microphone was refused. Allow it beside the address of this page, or type the tone by hand.'
        : name === 'NotFoundError'
          ? 'No microphone was found. Plug one in, or type the tone by hand.'
          : 'The microphone could not be opened. Another program may hold it. Type the tone by hand.'
    return { ok: false, why }
  }
  const context = new AudioContext()
  try {
    const analyser = context.createAnalyser()
    analyser.fftSize = 2048
    context.createMediaStreamSource(stream).connect(analyser)
    return { ok: true, samples: await gather(analyser, context), sampleRateHz: context.sampleRate }
  } finally {
    stream.getTracks().forEach((track) => track.stop())
    await context.close()
  }
}

/** Windows one behind the other until the time is over; what two of them share is left away. */
function gather(analyser: AnalyserNode, context: AudioContext): Promise<Float32Array> {
  const kept: Float32Array[] = []
  const window = new Float32Array(analyser.fftSize)
  const start = context.currentTime
  let upTo = start
  return new Promise((resolve) => {
    const timer = setInterval(() => {
      analyser.getFloatTimeDomainData(window)
      const fresh = Math.min(window.length, Math.round((context.currentTime - upTo) * context.sampleRate))
      upTo = context.currentTime
      if (fresh > 0) kept.push(window.slice(window.length - fresh))
      if ((context.currentTime - start) * 1000 < LISTENS) return
      clearInterval(timer)
      resolve(joined(kept))
    }, 20)
  })
}

function joined(parts: readonly Float32Array[]): Float32Array {
  const whole = new Float32Array(parts.reduce((sum, it) => sum + it.length, 0))
  let at = 0
  for (const part of parts) {
    whole.set(part, at)
    at += part.length
  }
  return whole
}
