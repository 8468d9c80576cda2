import type { Shown } from '../base/shown'

export const replaceRecipe = {
  before: (what: Shown) => `Before ${what}`,
}
