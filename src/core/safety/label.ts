import type { ProofBy } from './slice'

/** One claim of a label: what it holds back, between which wavelengths, for which kinds of beam. */
export interface Claim {
  /** Wavelengths, nm, both counted in. */
  readonly from: number
  readonly to: number
  readonly kind: 'scale' | 'density'
  readonly value: number
  /** D continuous, I R M pulsed; empty where the label names none. */
  readonly modes: string
}

export interface LabelRead {
  readonly claims: readonly Claim[]
  /** What could not be read as part of a claim, as it stands there. */
  readonly unread: readonly string[]
  /** Claims that name no wavelength: they are none. */
  readonly bare: readonly string[]
}

type Token =
  | { readonly is: 'range'; readonly from: number; readonly to: number }
  | { readonly is: 'modes'; readonly modes: string }
  | { readonly is: 'claim'; readonly kind: Claim['kind']; readonly value: number; readonly text: string }
  | { readonly is: 'other'; readonly text: string }

const PATTERNS: readonly (readonly [RegExp, (found: RegExpExecArray) => Token])[] = [
  [
    /^(\d{3,5})\s*(?:nm)?\s*(?:[-–—~]|to)\s*>?\s*(\d{3,5})(?:\s*nm)?/i,
    ([, a, b]) => ({ is: 'range', from: Number(a), to: Number(b) }),
  ],
  [/^LB?\s*(\d{1,2})(?![\d.])/i, ([text, n]) => ({ is: 'claim', kind: 'scale', value: Number(n), text })],
  [
    /^(?:O\.?\s?D\.?|optical density)\s*(?:[>≥=:]|of)*\s*(\d{1,2}(?:[.,]\d+)?)\s*\+?/i,
    ([text, n = '']) => ({ is: 'claim', kind: 'density', value: Number(n.replace(',', '.')), text: text.trim() }),
  ],
  [/^([DIRM]{1,4})(?![A-Za-z])/, ([, modes = '']) => ({ is: 'modes', modes })],
  [/^(\d{3,5})\s*(?:nm)?(?![\d.,])/i, ([, a]) => ({ is: 'range', from: Number(a), to: Number(a) })],
  [/^[A-Za-z0-9][^\s,;+@/|()[\]]*/, ([text]) => ({ is: 'other', text })],
]

function tokensOf(label: string): readonly Token[] {
  const tokens: Token[] = []
  let rest = label
  while (rest !== '') {
    let step = 1
    for (const [pattern, make] of PATTERNS) {
      const found = pattern.exec(rest)
      if (found === null) continue
      tokens.push(make(found))
      step = found[0].length
      break
    }
    rest = rest.slice(step)
  }
  return tokens
}

/**
 * Reads a label of eyewear or of a window by its parts: wavelengths in nm, LB with a scale number behind the kinds of beam,
 * or an optical density. Either stands before what it belongs to throughout, or behind it.
 * @param label As it is printed; any text.
 * Valid: any text; what is no part of a claim is given back unread. Source: EN 207:2017, clause 6 (marking); ANSI Z136.7 (from memory).
 * @example readLabel('D 180-315 LB9 + 315-534 LB6').claims.length // 2
 */
export function readLabel(label: string): LabelRead {
  const claims: Claim[] = []
  const unread: string[] = []
  const bare: string[] = []
  let modes = ''
  let ranges: { from: number; to: number }[] = []
  let pending: { kind: Claim['kind']; value: number; text: string; modes: string }[] = []
  /** Whether wavelengths stand before what is claimed for them. */
  let rangeFirst: boolean | null = null
  let wasClaim = false
  for (const token of tokensOf(label)) {
    switch (token.is) {
      case 'range': {
        const range = { from: Math.min(token.from, token.to), to: Math.max(token.from, token.to) }
        rangeFirst ??= pending.length === 0
        if (rangeFirst) {
          ranges = wasClaim ? [range] : [...ranges, range]
        } else {
          claims.push(...pending.map(({ kind, value, modes: of }) => ({ ...range, kind, value, modes: of })))
          ranges = [...ranges, range]
        }
        wasClaim = false
        break
      }
      case 'modes':
        modes = token.modes
        // Behind a claim they begin the next; before wavelengths they hold for all that follow.
        break
      case 'claim':
        rangeFirst ??= ranges.length > 0
        if (rangeFirst) {
          claims.push(...ranges.map((it) => ({ ...it, kind: token.kind, value: token.value, modes })))
        } else {
          if (ranges.length > 0) {
            pending = []
            ranges = []
          }
          pending.push({ kind: token.kind, value: token.value, text: token.text, modes })
        }
        wasClaim = true
        break
      case 'other':
        if (!/^nm$/i.test(token.text)) unread.push(token.text)
        break
    }
  }
  if (rangeFirst !== true && ranges.length === 0) bare.push(...pending.map((it) => it.text))
  return { claims, unread, bare }
}

/** What stands behind a label. */
export interface Proof {
  readonly proof: ProofBy
  /** Number, laboratory or day of the certificate; empty where it is not named. */
  readonly certificate: string
}

/** What a label comes to at one wavelength, with its reasons. */
export interface LabelAt {
  /** Scale number for a continuous beam, as far as it is certified; 0 where none is named. */
  readonly scale: number
  /** Optical density, as far as it is certified; 0 where none is named. A scale number n holds back 10^n at least. */
  readonly density: number
  /** The same as a seller says it: what nothing stands behind counts in here alone. */
  readonly toldScale: number
  readonly toldDensity: number
  /** What each claim comes to here, in words. */
  readonly said: readonly { readonly claim: Claim; readonly counts: boolean; readonly why: string }[]
}

/**
 * Whether a claim is certified. A scale number behind its kinds of beam is the mark of EN 207 itself, unless it was only read
 * in a listing; a density is printed by anybody, and needs the mark of a standard or a certificate that is named.
 */
function isCertified(claim: Claim, { proof, certificate }: Proof): boolean {
  if (proof === 'seller') return false
  if (proof === 'certificate') return certificate.trim() !== ''
  return claim.kind === 'scale' ? proof === 'en' || proof === 'unsaid' : proof === 'ansi'
}

/** Why a claim that names the wavelength counts, or does not. */
function whyOf(claim: Claim, isProved: boolean, { proof }: Proof): string {
  if (claim.kind === 'scale' && !claim.modes.includes('D')) return 'no D before it: not for a beam that stays on'
  if (isProved) return 'names this wavelength'
  if (proof === 'seller') return 'a seller’s word: it proves nothing'
  if (proof === 'certificate') return 'which certificate says so is not named yet'
  return claim.kind === 'density'
    ? 'names this wavelength, but anybody can print a density: it counts with a mark after ANSI Z136.7 or a certificate that is named'
    : 'is no mark of that standard'
}

/**
 * What a label comes to at the wavelength of a beam. What does not name it counts as nothing, and so does a scale number
 * without D for a continuous beam, and what nobody certifies.
 * @param read The label. @param wavelengthNm Of the beam, nm. @param proof What stands behind it.
 * Valid: any wavelength. Source: EN 207:2017, clause 6 and table 1: LB n lets through 10^−n at most; ANSI Z136.7 (from memory).
 * @example labelAt(readLabel('D 180-315 LB9 + 315-534 LB6'), 455, { proof: 'unsaid', certificate: '' }).scale // 6
 */
export function labelAt({ claims }: LabelRead, wavelengthNm: number, proof: Proof): LabelAt {
  const said = claims.map((claim) => {
    const holds = wavelengthNm >= claim.from && wavelengthNm <= claim.to
    if (!holds) return { claim, told: false, counts: false, why: `says nothing of ${wavelengthNm} nm` }
    const told = claim.kind === 'density' || claim.modes.includes('D')
    const counts = told && isCertified(claim, proof)
    return { claim, told, counts, why: whyOf(claim, counts, proof) }
  })
  const best = (kind: Claim['kind'], by: 'told' | 'counts'): number =>
    Math.max(0, ...said.filter((it) => it[by] && it.claim.kind === kind).map((it) => it.claim.value))
  return {
    scale: best('scale', 'counts'),
    density: Math.max(best('density', 'counts'), best('scale', 'counts')),
    toldScale: best('scale', 'told'),
    toldDensity: Math.max(best('density', 'told'), best('scale', 'told')),
    said,
  }
}
