import { expect, it } from 'vitest'
import { MATERIAL_IDS, MATERIALS, neverBurn, underCondition } from '.'

// What is never burnt and what it gives off, in the words of the trade (common practice): one row for each family.
it.each([
  ['PVC', 'hydrogen chloride'],
  ['neoprene', 'hydrogen chloride'],
  ['PTFE', 'hydrogen fluoride'],
  ['ABS', 'hydrogen cyanide'],
  ['polyurethane', 'isocyanates'],
  ['nylon', 'hydrogen cyanide'],
  ['melamine', 'hydrogen cyanide'],
  ['polycarbonate', 'fire'],
  ['foams of PS', 'fire'],
  ['glass-fibre laminate', 'brominated'],
  ['carbon', 'fibres'],
  ['chrome-tanned leather', 'chromium(VI)'],
  ['treated', 'arsenic'],
  ['old painted wood', 'lead'],
  ['galvanised', 'metal fume'],
  ['beryllium', 'metal fume'],
  ['celluloid', 'deflagration'],
  ['batteries', 'burst'],
  ['sealed hollow', 'burst'],
  ['mirror-bright metal', 'beam is thrown'],
  ['bare glass', 'beam is thrown'],
  ['unknown', 'unknown'],
])('never %s: %s', (what, why) => {
  const found = MATERIAL_IDS.filter((id) => MATERIALS[id].name.includes(what) && MATERIALS[id].burning === 'never')
  expect(found.map((id) => MATERIALS[id].why).join()).toContain(why)
})

it('what must never be burnt is found among any others, whatever is not on the list is not taken for one', () => {
  expect(neverBurn(['wood', 'vinyl', 'leather', 'chromeLeather', 'moon rock'])).toEqual(['vinyl', 'chromeLeather'])
  expect(underCondition(['wood', 'vinyl', 'clearAcrylic', 'leather'])).toEqual(['leather', 'clearAcrylic'])
  expect(neverBurn([])).toEqual([])
})

it('every condition and every never says why; clear acrylic lets a blue beam through, bare metal throws it', () => {
  for (const id of MATERIAL_IDS) expect(MATERIALS[id].why === '', id).toBe(MATERIALS[id].burning === 'usual')
  expect(MATERIALS.clearAcrylic.why).toContain('passes through')
  expect(MATERIALS.coatedSteel.why).toContain('throws the beam')
})
