<script setup lang="ts">
/** Every material: what it does, where the figures come from, how it is bought. */
import { useOnPhone } from '@/composables/page/useOnPhone'
import { common } from '@/text/base/common'
import { shelfMaterials as words } from '@/text/views/shelfMaterials'
import { TITLES } from '@/text/views/titles'
import { atOnce } from '@/text/base/atOnce'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import ShelfSheetDialog from '@/components/shelf/ShelfSheetDialog.vue'
import { saveFile } from '@/composables/page/saveFile'
import type { Matches } from '@/model/sheets/sheet'
import { shelfFromText, shelfToCsv } from '@/model/sheets/shelfSheet'
import { shortName } from '@/text/base/titles'
import FoldBox from '@/components/frame/FoldBox.vue'
import MaterialFigures from '@/components/shelf/MaterialFigures.vue'
import MaterialRows from '@/components/shelf/MaterialRows.vue'
import PackDialog from '@/components/PackDialog.vue'
import type { Material } from '@/core/data'
import { learnedOf, ownMaterialsOf, shelfItemOf } from '@/model/garden/garden'
import { everyMaterial } from '@/model/garden/tables'
import type { OwnMaterialRecord } from '@/model/garden/schemas'
import { shelfEntry } from '@/model/garden/shelfEntry'
import { useGarden } from '@/stores/garden'
import { counted } from '@/text/base/counted'
import { FAMILY_NAMES } from '@/text/shelf/materials'
import { materialFindable, someOf } from '@/text/shelf/names'
import { search as searchRows } from '@/text/shelf/search'
import type { UnitSystem } from '@/text/base/units'

const { search, units } = defineProps<{ search: string; units: UnitSystem }>()
const emit = defineEmits<{ describe: [own: OwnMaterialRecord] }>()
const garden = useGarden()
const figuresOf = ref<Material | null>(null)
const packOf = ref<Material | null>(null)
const all = computed(() => everyMaterial(garden.records))
const owns = computed(() => new Map(ownMaterialsOf(garden.records).map((m) => [m.id, m])))
const rows = computed(() =>
  searchRows(all.value, search, materialFindable).map((material) => ({
    material,
    entry: shelfEntry(garden.records, material),
    own: owns.value.get(material.id) ?? null,
  })),
)
/** Whoever searches sees all that is found; else what the grower has comes first, the rest by family. */
const isMine = ({ material, own }: (typeof rows.value)[number]) =>
  own !== null || shelfItemOf(garden.records, material.id) !== undefined
const mine = computed(() => (search.trim() === '' ? rows.value.filter(isMine) : rows.value))
/** A phone shows the first few. */
const FIRST = 6
const onPhone = useOnPhone()
const whole = ref(false)
const mineShown = computed(() => (onPhone.value && !whole.value ? mine.value.slice(0, FIRST) : mine.value))
const families = computed(() => {
  if (search.trim() !== '') return []
  const rest = rows.value.filter((row) => !isMine(row))
  return [...new Set(rest.map((r) => r.material.family))].map((family) => {
    const those = rest.filter((r) => r.material.family === family)
    return { family, rows: those, says: someOf(those.map((r) => shortName(r.material.id).toLowerCase())) }
  })
})
/** Readings behind what was learned of a material. */
const readingsOf = (id: string | undefined) =>
  learnedOf(garden.records)?.rows.find((r) => r.id === id)?.from.length ?? 0
const sheetOpen = ref(false)
const read = (text: string, matches: Matches) =>
  shelfFromText(text, { garden: garden.records, find: findMaterial, units, matches })
/** A material as somebody may write it: its id, its name in full or in short. */
function findMaterial(name: string): Material | undefined {
  const wanted = name.trim().toLowerCase()
  return all.value.find((m) => [m.id, m.name, shortName(m.id)].some((n) => n.toLowerCase() === wanted))
}
const saveCsv = () =>
  saveFile(
    words.openBedShelfCsv,
    shelfToCsv(
      all.value.flatMap((m) => shelfItemOf(garden.records, m.id) ?? []),
      shortName,
      units,
    ),
    'text/csv',
  )
</script>

<template>
  <div class="row count">
    <span class="soft" role="status">{{ common.of(rows.length, counted(all.length, 'material')) }}</span>
    <FoldBox id="shelf-sheets" :title="words.sheetsOfTheShelf">
      <Button :label="words.saveTheShelfAsCsv" icon="pi pi-download" text size="small" @click="saveCsv" />
      <Button :label="common.readASheet" icon="pi pi-upload" text size="small" @click="sheetOpen = true" />
      <RouterLink
        class="p-button p-button-text p-button-sm"
        :to="{ name: 'heap', params: { garden: garden.name } }"
        >{{ TITLES.heap }}</RouterLink
      >
    </FoldBox>
  </div>
  <h2 v-if="families.length && mine.length">{{ words.whatYouHave }}</h2>
  <MaterialRows
    :rows="mineShown"
    :units="units"
    @read="figuresOf = $event"
    @edit="packOf = $event"
    @describe="emit('describe', $event)"
  />
  <Button
    v-if="mineShown.length < mine.length"
    :label="atOnce.showMoreOf(mine.length - mineShown.length, mine.length - mineShown.length)"
    text
    size="small"
    @click="whole = true"
  />
  <FoldBox
    v-if="families.length"
    id="shelf-everything"
    :needed="mine.length === 0"
    :title="words.everythingElse"
    :says="common.of(rows.length - mine.length, counted(all.length, 'material'))"
  >
    <FoldBox
      v-for="group in families"
      :id="`family ${group.family}`"
      :key="group.family"
      :title="FAMILY_NAMES[group.family]"
      :says="group.says"
    >
      <MaterialRows
        :rows="group.rows"
        :units="units"
        @read="figuresOf = $event"
        @edit="packOf = $event"
        @describe="emit('describe', $event)"
      />
    </FoldBox>
  </FoldBox>
  <p v-if="rows.length === 0" class="soft">{{ common.nothingOnTheShelfAnswers(search) }}</p>
  <ShelfSheetDialog
    v-model:visible="sheetOpen"
    :units="units"
    :read="read"
    @take="
      garden.run({
        type: 'shelf/put',
        shelf: { materials: $event, dressings: [] },
        what: 'a sheet of the shelf',
      })
    "
  />
  <MaterialFigures :material="figuresOf" :readings="readingsOf(figuresOf?.id)" @close="figuresOf = null" />
  <PackDialog
    :material="packOf"
    :item="packOf ? shelfEntry(garden.records, packOf) : null"
    :units="units"
    @save="garden.run({ type: 'shelf/set', item: $event })"
    @close="packOf = null"
  />
</template>

<style scoped>
.count {
  margin: 0 0 6px;
}
</style>
