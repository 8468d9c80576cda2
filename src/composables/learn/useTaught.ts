import { taught as says } from '@/text/composables/learn'
import { useTables } from '../garden/useTables'
import { computed } from 'vue'
import { dressingIn } from '@/core/data/dressings'
import { materialIn, type Dressing, type Material, type Tables } from '@/core/data'
import { unlearned } from '@/core/ranges'
import { recordOf } from '@/model/garden/garden'
import type { GardenReading } from '@/model/learn/readings'
import type { LearnedFigures } from '@/core/data/learned'
import { dressingName } from '@/text/shelf/dressings'
import { shortName } from '@/text/base/titles'
import { learnedLines, learnedSentence, questionedText, readingText } from '@/text/tests/learned'
import type { GardenDoor } from '../garden/gardenDoor'
import type { LearningInHand } from './useLearning'

/** A row as the tables have it, and what it is called. */
function rowOf(id: string, tables: Tables): { row: Material | Dressing; name: string } | null {
  const material = materialIn(tables, id)
  if (material) return { row: unlearned(material), name: shortName(id) }
  const dressing = dressingIn(tables, id)
  return dressing ? { row: unlearned(dressing), name: dressingName(id) } : null
}

/** What was learned, in words: of a preview or of the shelf. */
export function useTaught(garden: GardenDoor, learning: LearningInHand) {
  const tables = useTables(garden)
  const ofText = ({ of }: GardenReading): string =>
    'materialId' in of
      ? shortName(of.materialId)
      : (recordOf(garden.records, of.recordId)?.jobName ?? 'a mix')
  const names = computed(() => new Map(learning.all.value.map((r) => [r.id, readingText(r, ofText(r))])))
  const nameOf = (id: string) => names.value.get(id) ?? says.aReadingThatIsNo
  const inWords = (rows: readonly (LearnedFigures & { id: string; from: readonly string[] })[]) =>
    rows.flatMap((row) => {
      const found = rowOf(row.id, tables.value)
      if (!found) return []
      const { row: was, name } = found
      return [
        {
          id: row.id,
          name,
          from: row.from,
          says: learnedSentence(was, name, row),
          lines: learnedLines(was, row),
        },
      ]
    })
  return {
    nameOf,
    inWords,
    previewed: computed(() => inWords(learning.preview.value?.rows ?? [])),
    questioned: computed(() =>
      (learning.preview.value?.readings ?? [])
        .filter((r) => r.questioned)
        .map((r) => ({ id: r.id, text: questionedText(nameOf(r.id), r) })),
    ),
  }
}
