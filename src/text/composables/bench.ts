import type { Shown } from '../shown'

export const replaceRecipe = {
  before: (what: Shown) => `Before ${what}`,
}
