import { MATERIAL_IDS, type MaterialId } from './materialIds'

/** How a material stands to a diode's beam: as usual, with a condition, or never. */
export type Burning = 'usual' | 'condition' | 'never'

export interface Material {
  readonly name: string
  readonly burning: Burning
  /** The condition, or why never. */
  readonly why: string
}

const usual = (name: string): Material => ({ name, burning: 'usual', why: '' })
const condition = (name: string, why: string): Material => ({ name, burning: 'condition', why })
const never = (name: string, why: string): Material => ({ name, burning: 'never', why })

/**
 * Materials that people bring to a beam. What is not listed is not known, and what is not known is not burnt.
 * Source: what the polymers and salts give off when they burn (common practice); no list replaces a data sheet.
 */
export const MATERIALS = {
  wood: usual('wood, veneer and plywood'),
  paper: usual('paper and card'),
  cork: usual('cork'),
  cotton: usual('cotton, linen and wool felt'),
  slate: usual('slate and stone'),
  anodised: usual('anodised aluminium'),
  darkAcrylic: usual('dark acrylic'),
  mdf: condition('fibreboard', 'its glue and fine soot ask for more exhaust than wood does'),
  leather: condition('vegetable-tanned leather', 'only where the tanner says so: chrome-tanned leather looks alike'),
  clearAcrylic: condition('clear or blue acrylic', 'a blue beam passes through it; it takes a dark coat or paper under it'),
  glass: condition('glass with a coat', 'bare it throws the beam and cracks; the coat must cover all that is burnt'),
  coatedSteel: condition('steel with a marking coat', 'bare and bright it throws the beam'),
  vinyl: never('PVC, vinyl and neoprene', 'hydrogen chloride, which corrodes all'),
  fluoropolymer: never('PTFE and other fluoropolymers', 'hydrogen fluoride, perfluoroisobutene'),
  nitrogenPlastic: never('ABS, polyurethane foam, nylon, melamine', 'hydrogen cyanide; polyurethane gives isocyanates too'),
  foam: never('polycarbonate and foams of PS, PE, PP', 'soot and a fast, dripping fire'),
  fibre: never('glass-fibre laminate, carbon or glass fibre', 'brominated fume and fibres'),
  chromeLeather: never('chrome-tanned leather', 'chromium(VI)'),
  treatedWood: never('treated or old painted wood', 'arsenic, chromium, copper; lead'),
  galvanised: never('galvanised, beryllium or cadmium plate', 'metal fume'),
  celluloid: never('celluloid, batteries, sealed hollow things', 'deflagration or burst'),
  mirror: never('mirror-bright metal and bare glass', 'the beam is thrown out of the machine'),
  unknown: never('anything unknown', 'what it gives off is unknown'),
} as const satisfies Record<MaterialId, Material>

/** What makes the mark on a material that is coated, and what to beware of (common practice). */
export const COATED: Readonly<Partial<Record<keyof typeof MATERIALS, { readonly makes: string; readonly beware: string }>>> = {
  anodised: {
    makes:
      'The dye in the layer is bleached: the mark is lighter than the face, so ask for a tone above the bare one. Lines at half to three quarters of the spot (common practice).',
    beware:
      'Where the layer is burnt through, bare metal throws the beam back. The face is gloss: eyewear and a closed shield, always.',
  },
  coatedSteel: {
    makes:
      'The marking coat is fused onto the steel; what was not burnt is washed off. Too little light wipes off with it: try again slower.',
    beware: 'The coat’s fume and dust come first on its data sheet. Beside the coat the steel throws the beam back.',
  },
  glass: {
    makes: 'A dark coat takes the light and heats the face until it crazes. Wet paper over it takes heat away.',
    beware:
      'Shards: glass flakes and may break when it cools, wear goggles against splinters too, and wipe it wet. Bare glass lets the beam through, onto what lies beneath.',
  },
  clearAcrylic: {
    makes: 'Dark paint or paper under or on it takes the light; the acrylic itself passes a blue beam.',
    beware: 'The beam goes on through it: what lies beneath is burnt, and a smooth bed throws it back.',
  },
}

/**
 * Why a material is not burnt, in words; null where nothing on the list is against it. What is not on the list is not known, and
 * what is not known is not burnt.
 */
export function whyNotBurnt(kind: string): string | null {
  if (!(kind in MATERIALS)) return 'Nobody has said what it is, and what nobody knows is not burnt'
  const { name, burning, why } = MATERIALS[kind as MaterialId]
  return burning === 'never' ? `${name}: ${why}` : null
}

/** Whether a material is burnt without a condition. */
export function isUsual(kind: string): boolean {
  return kind in MATERIALS && MATERIALS[kind as MaterialId].burning === 'usual'
}

/** Those of some materials that must never be burnt, in the table's order. */
export function neverBurn(ids: readonly string[]): readonly MaterialId[] {
  return MATERIAL_IDS.filter((id) => ids.includes(id) && MATERIALS[id].burning === 'never')
}

/** Those that may be burnt under a condition, in the table's order. */
export function underCondition(ids: readonly string[]): readonly MaterialId[] {
  return MATERIAL_IDS.filter((id) => ids.includes(id) && MATERIALS[id].burning === 'condition')
}
