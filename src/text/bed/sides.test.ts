import { expect, test } from 'vitest'
import { SIDES_WERE } from '@/model/garden/schemas/bedFields'
import { SIDES_NAMES, SIDES_SAY, sidesCaution } from './sides'

test('what food must not grow beside has a caution, with whom to ask; what is fit or not said has none', () => {
  const cautioned = SIDES_WERE.filter((sidesWere) => sidesCaution({ sidesWere }).length > 0)
  // Extension bulletins let galvanised steel and copper-treated timber pass (from memory).
  expect(cautioned).toEqual(SIDES_WERE.slice(3).filter((was) => was !== 'galvanised'))
  for (const sidesWere of cautioned) {
    const [caution] = sidesCaution({ sidesWere })
    expect(caution!.text).toContain(SIDES_SAY[sidesWere])
    expect(caution!.text).toContain(SIDES_NAMES[sidesWere])
    expect(caution!.ask).toMatch(/\w/)
  }
})
