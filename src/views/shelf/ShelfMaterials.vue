<script setup lang="ts">
/** Every material: what it does, where the figures come from, how it is bought. */
import { common } from '@/text/base/common'
import { shelfMaterials as words } from '@/text/views/shelfMaterials'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import ShelfSheetDialog from '@/components/shelf/ShelfSheetDialog.vue'
import { saveFile } from '@/composables/page/saveFile'
import type { Matches } from '@/model/sheets/sheet'
import { shelfFromText, shelfToCsv } from '@/model/sheets/shelfSheet'
import { shortName } from '@/text/base/labels'
import MaterialFigures from '@/components/shelf/MaterialFigures.vue'
import MaterialRow from '@/components/shelf/MaterialRow.vue'
import PackDialog from '@/components/PackDialog.vue'
import type { Material } from '@/core/data'
import { learnedOf, ownMaterialsOf, shelfItemOf } from '@/model/garden/garden'
import { everyMaterial } from '@/model/garden/tables'
import type { OwnMaterialRecord } from '@/model/garden/schemas'
import { shelfEntry } from '@/model/garden/shelfEntry'
import { useGarden } from '@/stores/garden'
import { counted } from '@/text/base/counted'
import { materialFindable } from '@/text/shelf/names'
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
    <Button :label="words.saveTheShelfAsCsv" icon="pi pi-download" text size="small" @click="saveCsv" />
    <Button :label="common.readASheet" icon="pi pi-upload" text size="small" @click="sheetOpen = true" />
  </div>
  <ul class="plain">
    <MaterialRow
      v-for="{ material, entry, own } in rows"
      :key="material.id"
      :material="material"
      :entry="entry"
      :own="own"
      :units="units"
      @read="figuresOf = material"
      @edit="packOf = material"
      @describe="own && emit('describe', own)"
    />
  </ul>
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
