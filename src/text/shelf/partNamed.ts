import { materialById } from '@/core/data'
import type { AmountSetting } from '@/model/amounts/amount'
import { shortName } from '../base/titles'
import { namesOf } from './names'
import { search } from './search'

/** Which part of a recipe some words name: "peat", "the manure"; null where it has none of that name. */
export const partNamed =
  ({ parts }: Pick<AmountSetting, 'parts'>) =>
  (words: string): string | null =>
    search([...parts.keys()], words, (id) => ({
      name: materialById(id)?.name ?? shortName(id),
      words: [shortName(id), ...namesOf(id)],
    }))[0] ?? null
